package embrack.paper.part;

import embrack.core.gear.Kind;
import embrack.core.light.Look;
import embrack.core.light.Palette;
import embrack.core.plan.Plan;
import embrack.core.sheet.CueSheet;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Leaf;
import embrack.core.show.Section;
import embrack.core.switches.Step;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What happens in each song at boxes of some kinds: bar, clock, section, the words that are sung there, what it is. */
final class CueLeaf {

    private static final int SWATCHES = 3;

    private final Contents contents;
    private final Plan plan;
    private final Leaf leaf;
    private final Set<Kind> kinds;

    private CueLeaf(Contents contents, Leaf leaf, Set<Kind> kinds) {
        this.contents = contents;
        this.plan = contents.plan();
        this.leaf = leaf;
        this.kinds = kinds;
    }

    static Part lights(Contents contents) {
        return new CueLeaf(contents, Leaf.LIGHTS, EnumSet.of(Kind.LIGHT_DESK)).part("lights", "Lights");
    }

    static Part words(Contents contents) {
        return new CueLeaf(contents, Leaf.WORDS, EnumSet.of(Kind.PICTURES)).part("words", "Words and pictures");
    }

    /** The cues of sound, for the part that says more of it. */
    static List<Block> sound(Contents contents) {
        return new CueLeaf(contents, Leaf.SOUND, EnumSet.complementOf(EnumSet.of(Kind.LIGHT_DESK, Kind.PICTURES)))
                .songs();
    }

    private Part part(String id, String title) {
        return new Part(id, title, "cues of tonight's songs", Part.Form.HALVES, songs());
    }

    private List<Block> songs() {
        return Stream.concat(
                        Stream.of(block("Every song", Form.UNKNOWN, plan.book().always())),
                        contents.songs().stream().map(song -> block(song.title().text(), song.form(), song.cues())))
                .filter(block -> !block.isEmpty())
                .toList();
    }

    private Block block(String heading, Form form, List<Cue> cues) {
        List<Row> rows = new ArrayList<>();
        cues.stream()
                .filter(cue -> !steps(cue).isEmpty())
                .sorted(Comparator.comparingLong(cue -> order(cue, form)))
                .forEach(cue -> rows.add(row(form, cue)));
        return new Block(
                heading,
                form.equals(Form.UNKNOWN) ? "" : form.words(),
                new Body.Table(
                        List.of(
                                Column.words("Bar", 17),
                                Column.figures("Clock", 17),
                                Column.words("Section", 28),
                                Column.words(leaf == Leaf.LIGHTS ? "Look" : "What", 38)),
                        rows));
    }

    private static long order(Cue cue, Form form) {
        return cue.at().micros(form).orElseGet(() -> switch (((Anchor.Automatic) cue.at()).when()) {
            case LOAD -> Long.MIN_VALUE;
            case PLAY -> Long.MIN_VALUE + 1;
            case CONTINUE, LOOP, STOP -> Long.MAX_VALUE;
        });
    }

    /** What a cue does at these boxes, by itself or through the switch that is pressed. */
    private List<Step> steps(Cue cue) {
        return Stream.concat(
                        cue.steps().stream(),
                        cue.foot().stream().flatMap(at -> plan.switches().at(at).steps().stream()))
                .filter(step -> kinds.contains(plan.rig().model(step.device()).kind()))
                .toList();
    }

    private Row row(Form form, Cue cue) {
        Optional<Long> micros = cue.at().micros(form);
        CueSheet.When when = CueSheet.When.of(cue, micros, form.tempoMap());
        List<Step> steps = steps(cue);
        Optional<Look> look = leaf == Leaf.LIGHTS ? looks(steps) : Optional.empty();
        String what = Stream.concat(cue.foot().stream().map(at -> "press " + plan.words(at)), Stream.of(said(steps)))
                .collect(Collectors.joining(": "));
        return Row.of(
                        Whens.place(when),
                        when.clock(),
                        micros.map(at -> section(form, at)).orElse(""),
                        what)
                .coloured(look.map(l -> Palette.of(plan.lights(), l, SWATCHES)).orElse(List.of()));
    }

    /** What steps do; the box is not named where there is one alone. */
    private String said(List<Step> steps) {
        long boxes = plan.rig().devices().stream()
                .filter(device -> kinds.contains(plan.rig().model(device.id()).kind()))
                .count();
        return boxes == 1 ? steps.stream().map(plan::deed).collect(Collectors.joining(", ")) : Deeds.of(plan, steps);
    }

    private Optional<Look> looks(List<Step> steps) {
        return IntStream.range(0, steps.size())
                .mapToObj(i -> plan.lookOf(steps, i))
                .flatMap(Optional::stream)
                .findFirst();
    }

    /** The section, with the first of its words. */
    private static String section(Form form, long micros) {
        int bar = form.tempoMap().position(form.tempoMap().tickAt(micros)).bar();
        Section section = form.sections().get(form.sectionOf(bar));
        return section.name()
                + (section.lines().isEmpty() ? "" : ": \u201c" + section.lines().getFirst() + "\u201d");
    }
}
