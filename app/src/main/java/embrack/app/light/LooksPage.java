package embrack.app.light;

import embrack.core.colour.Colour;
import embrack.core.light.Fixture;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.LookId;
import embrack.core.light.Output;
import embrack.core.light.Palette;
import embrack.core.light.text.LookText;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.show.Song;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The looks, one of them on the stage.
 *
 * @param chosen the look beside the stage; empty for a new one
 * @param groups what lines of a look can be about, for the hint
 * @param colours the names of colours, for the hint
 */
record LooksPage(
        StageView stage,
        List<Card> cards,
        Optional<Panel> chosen,
        String groups,
        String colours,
        boolean hangsNothing,
        boolean hasDesk) {

    private static final int SWATCHES = 4;

    /** A distance that an eye does not see at once, CIEDE2000; common practice, no source. */
    private static final double SEEN = 2;

    /** A look in the list. */
    record Card(String id, String name, List<String> swatches, String where, String flashes, boolean isChosen) {}

    /**
     * The look that is on the stage.
     *
     * @param near fixtures that cannot quite show it, and how far off they are
     * @param where where desks hold it
     * @param slots what each fixture is sent
     * @param users what has it shown
     */
    record Panel(
            String id,
            String name,
            String text,
            List<String> near,
            List<String> where,
            List<Slots> slots,
            List<String> users) {}

    /** What a fixture is sent, slot by slot. */
    record Slots(String name, String address, String numbers) {}

    static LooksPage of(Plan plan, Optional<LookId> wanted) {
        Lights lights = plan.lights();
        Optional<Look> chosen = wanted.flatMap(lights::look);
        return new LooksPage(
                StageView.of(lights, chosen),
                lights.looks().stream()
                        .map(look ->
                                card(plan, look, chosen.filter(look::equals).isPresent()))
                        .toList(),
                chosen.map(look -> panel(plan, look)),
                Words.list(lights.groups()),
                Words.list(Colour.all()),
                lights.fixtures().isEmpty(),
                !DesksPage.desks(plan).isEmpty());
    }

    private static Card card(Plan plan, Look look, boolean isChosen) {
        List<Output> shown = plan.lights().shown(look);
        double fastest = shown.stream().mapToDouble(Output::flashes).max().orElse(0);
        return new Card(
                look.id().text(),
                look.name().text(),
                Palette.of(plan.lights(), look, SWATCHES),
                where(plan, look).stream().findFirst().orElse("in no desk yet"),
                fastest > 0 ? String.format(Locale.ROOT, "%.1f flashes a second", fastest) : "",
                isChosen);
    }

    private static List<String> where(Plan plan, Look look) {
        return plan.lights().holding(look.id()).stream()
                .map(held -> DesksPage.words(plan, held.desk(), held.place()))
                .toList();
    }

    private static Panel panel(Plan plan, Look look) {
        Lights lights = plan.lights();
        List<Output> shown = lights.shown(look);
        Map<String, List<String>> near = new LinkedHashMap<>();
        List<Slots> slots = new ArrayList<>();
        for (int i = 0; i < shown.size(); i++) {
            Fixture fixture = lights.fixtures().get(i);
            Output output = shown.get(i);
            if (output.distance() > SEEN) {
                near.computeIfAbsent(
                                String.format(Locale.ROOT, "distance %.1f", output.distance()), d -> new ArrayList<>())
                        .add(fixture.name().text());
            }
            slots.add(new Slots(
                    fixture.name().text(),
                    fixture.at().map(Object::toString).orElse(""),
                    String.join(
                            " ", output.slots().stream().map(String::valueOf).toList())));
        }
        return new Panel(
                look.id().text(),
                look.name().text(),
                LookText.of(look.lines()),
                near.entrySet().stream()
                        .map(entry -> "%s: %s".formatted(Words.list(entry.getValue()), entry.getKey()))
                        .toList(),
                where(plan, look),
                slots,
                users(plan, look));
    }

    private static List<String> users(Plan plan, Look look) {
        return Stream.concat(
                        plan.switches().assignments().stream()
                                .filter(assignment ->
                                        assignment.steps().stream().anyMatch(step -> shows(plan, step, look)))
                                .map(assignment -> plan.words(assignment.at())
                                        + assignment
                                                .label()
                                                .map(label -> ", " + label)
                                                .orElse("")),
                        plan.book().songs().stream().flatMap(song -> cues(plan, song, look)))
                .toList();
    }

    private static Stream<String> cues(Plan plan, Song song, Look look) {
        return song.cues().stream()
                .filter(cue -> cue.steps().stream().anyMatch(step -> shows(plan, step, look)))
                .map(cue -> "%s, %s"
                        .formatted(song.title(), cue.at().text(song.form().tempoMap())));
    }

    private static boolean shows(Plan plan, Step step, Look look) {
        return plan.lookOf(step).filter(look::equals).isPresent();
    }
}
