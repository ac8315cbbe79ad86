package embrack.app.light;

import embrack.app.frame.StageView;
import embrack.core.chart.PartId;
import embrack.core.colour.Colour;
import embrack.core.light.Chase;
import embrack.core.light.Direct;
import embrack.core.light.Fixture;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.LookId;
import embrack.core.light.Output;
import embrack.core.light.Pace;
import embrack.core.light.Palette;
import embrack.core.light.Scenes;
import embrack.core.light.text.LookText;
import embrack.core.music.TempoMap;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.show.Song;
import embrack.core.stage.Beside;
import embrack.core.stage.Coming;
import embrack.core.stage.Flashes;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The looks, one of them on the stage.
 *
 * @param chosen the look beside the stage; empty for a new one
 * @param chases looks that follow one another
 * @param groups what lines of a look can be about, for the hint
 * @param colours the names of colours, for the hint
 */
record LooksPage(
        StageView stage,
        List<Card> cards,
        Optional<Panel> chosen,
        List<ChaseRow> chases,
        String groups,
        String colours,
        boolean hangsNothing,
        boolean hasDesk) {

    private static final int SWATCHES = 4;

    /** A distance that an eye does not see at once, CIEDE2000; common practice, no source. */
    private static final double SEEN = 2;

    /**
     * A chase with its fields as they are typed.
     *
     * @param round how long it takes to come round
     * @param beside how it goes beside each song that runs it
     * @param flashes how often the picture flashes while it runs; empty where that is seldom enough
     * @param places where desks can hold it
     */
    record ChaseRow(
            String id,
            String name,
            String steps,
            String pace,
            String round,
            List<String> beside,
            String flashes,
            List<Choice> places) {}

    /** Something to choose. */
    record Choice(String key, String words, boolean isChosen) {}

    /** A look in the list. */
    record Card(String id, String name, List<String> swatches, String where, String flashes, boolean isChosen) {}

    /**
     * The look that is on the stage.
     *
     * @param near fixtures that cannot quite show it, and how far off they are
     * @param where where desks hold it
     * @param comings where it is all there, of one that comes in slowly, beside the beat of each song
     * @param slots what each fixture is sent
     * @param users what has it shown
     */
    record Panel(
            String id,
            String name,
            String text,
            List<String> near,
            List<String> where,
            List<String> comings,
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
                lights.chases().stream().map(chase -> chase(plan, chase)).toList(),
                Words.list(lights.meanings()),
                Words.list(Colour.all()),
                lights.fixtures().isEmpty(),
                !DesksPage.desks(plan).isEmpty());
    }

    private static ChaseRow chase(Plan plan, Chase chase) {
        List<Choice> places = new ArrayList<>(
                List.of(new Choice("", "in no desk yet", chase.at().isEmpty())));
        for (Device desk : DesksPage.lightDesks(plan)) {
            for (PartId part : Scenes.chases(plan.rig().chart(desk.id()))) {
                places.add(new Choice(
                        "%s %s".formatted(desk.id(), part),
                        "%s, %s".formatted(desk.name(), plan.rig().partName(desk.id(), part)),
                        chase.at().filter(new Chase.At(desk.id(), part)::equals).isPresent()));
            }
        }
        return new ChaseRow(
                chase.id().text(),
                chase.name().text(),
                chase.steps().stream()
                        .map(id -> plan.lights().look(id).orElseThrow().name().text())
                        .collect(Collectors.joining(", ")),
                chase.pace() instanceof Pace.Timed timed
                        ? timed.words().replace(" s", "")
                        : chase.pace().words(),
                round(chase),
                Beside.of(plan, chase).stream().map(LooksPage::words).toList(),
                Flashes.of(plan.lights(), chase)
                        .map(flashes -> String.format(Locale.ROOT, "%.1f flashes a second", flashes.rate()))
                        .orElse(""),
                places);
    }

    /** "8 steps, 6.000 s a round"; with the beat the round is said in beats. */
    private static String round(Chase chase) {
        String steps = Words.count(chase.steps().size(), "step");
        return switch (chase.pace()) {
            case Pace.OnBeat beat -> "%s of %s, with the clock that it is sent".formatted(steps, beat.words());
            case Pace.BySound sound -> steps + ", as the room sounds: talk and a knock move it too";
            case Pace.Timed timed -> steps + seconds(chase);
            case Pace.Tapped tapped -> steps + ", about" + seconds(chase).substring(1);
        };
    }

    private static String seconds(Chase chase) {
        return String.format(Locale.ROOT, ", %.3f s a round", chase.roundMicros(Pace.ANY_TEMPO) / 1e6);
    }

    /** "Squall: 0.286 s behind after 2 bars". */
    private static String words(Beside beside) {
        String bars = Words.count((int) beside.drift().bars(), "bar");
        long micros = beside.drift().micros();
        return Math.abs(micros) < 1_000
                ? "%s: in step after %s".formatted(beside.song().title(), bars)
                : String.format(
                        Locale.ROOT,
                        "%s: %.3f s %s after %s",
                        beside.song().title(),
                        Math.abs(micros) / 1e6,
                        micros > 0 ? "behind" : "ahead",
                        bars);
    }

    /** "Squall: from 9|1, all there 0.100 s after 10|2". */
    private static String words(Coming coming) {
        TempoMap tempos = coming.song().form().tempoMap();
        String near = tempos.text(coming.near());
        long micros = coming.micros();
        return "%s: from %s, all there %s"
                .formatted(
                        coming.song().title(),
                        tempos.text(coming.from()),
                        Math.abs(micros) < 1_000
                                ? "at " + near
                                : String.format(
                                        Locale.ROOT,
                                        "%.3f s %s %s",
                                        Math.abs(micros) / 1e6,
                                        micros > 0 ? "after" : "before",
                                        near));
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
        return Stream.concat(
                        plan.lights().holding(look.id()).stream()
                                .map(held -> DesksPage.words(plan, held.desk(), held.place())),
                        plan.rig().devices().stream()
                                .filter(device -> Direct.of(plan.rig().chart(device.id()))
                                        .filter(direct -> !direct.shows(plan.lights(), look)
                                                .isEmpty())
                                        .isPresent())
                                .map(device -> device.name() + ", slot by slot"))
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
                LookText.of(look),
                near.entrySet().stream()
                        .map(entry -> "%s: %s".formatted(Words.list(entry.getValue()), entry.getKey()))
                        .toList(),
                where(plan, look),
                Coming.of(plan, look).stream().map(LooksPage::words).toList(),
                slots,
                users(plan, look));
    }

    private static List<String> users(Plan plan, Look look) {
        return Stream.concat(
                        plan.switches().assignments().stream()
                                .filter(assignment -> assignment.moments().values().stream()
                                        .anyMatch(steps -> shows(plan, steps, look)))
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
                .filter(cue -> shows(plan, cue.steps(), look))
                .map(cue -> "%s, %s"
                        .formatted(song.title(), cue.at().text(song.form().tempoMap())));
    }

    private static boolean shows(Plan plan, List<Step> steps, Look look) {
        return plan.drivenBy(steps).filter(look::equals).isPresent()
                || IntStream.range(0, steps.size())
                        .anyMatch(
                                i -> plan.lookOf(steps, i).filter(look::equals).isPresent());
    }
}
