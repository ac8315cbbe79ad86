package embrack.app.light;

import embrack.app.frame.StageView;
import embrack.core.chart.ChartWords;
import embrack.core.edit.Refused;
import embrack.core.light.Direct;
import embrack.core.light.Fixture;
import embrack.core.light.Frames;
import embrack.core.light.Lamp;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.Output;
import embrack.core.live.LiveLight;
import embrack.core.midi.Message;
import embrack.core.music.Clock;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.stage.Flashes;
import embrack.core.stage.Onstage;
import embrack.core.stage.Scenery;
import embrack.core.stage.Sight;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What can be sent, what is sent, and what a receiver makes of it.
 *
 * @param choices what can be sent
 * @param now what is sent; empty while nothing is
 * @param missing fixtures without an address, to which nothing can be sent
 */
record OutputPage(List<Choice> choices, Optional<Now> now, String missing) {

    /** Something to choose. */
    record Choice(String key, String words, boolean isChosen) {}

    /**
     * A stream.
     *
     * @param words what is sent and where to: "Harbour, to 10.0.0.20"
     * @param clock how far it has come
     * @param flashes what it does too often; empty if nothing
     * @param heard what the simulated receiver makes of it; empty where it goes to a node
     */
    record Now(
            String words,
            String clock,
            boolean isRunning,
            String trouble,
            String flashes,
            Optional<HeardView> heard,
            Optional<Obeys> obeys) {}

    /**
     * What obeys the messages of a desk.
     *
     * @param shows what is seen now: "Storm", "Squall, 96 quarters a minute"
     * @param told what came last, the newest first
     * @param feet switches that tell the desk something
     */
    record Obeys(String desk, String shows, List<ToldRow> told, List<Foot> feet) {}

    /** What came to the desk. */
    record ToldRow(String clock, String message, String made) {}

    /** A switch to press. */
    record Foot(String key, String words) {}

    /**
     * What the simulated receiver shows.
     *
     * @param stage drawn from the slots that came, from nothing else
     * @param count "132 packets, none lost"
     */
    record HeardView(StageView stage, String count, List<Row> rows) {}

    /** What a fixture was sent. */
    record Row(String name, String address, String slots, boolean isAsMeant) {}

    static OutputPage of(Plan plan, Optional<LightStreams.State> state) {
        String chosen = state.map(now -> now.what().key()).orElse("");
        return new OutputPage(
                choices(plan, chosen),
                state.map(now -> now(plan, now)),
                Words.list(plan.lights().fixtures().stream()
                        .filter(fixture -> fixture.at().isEmpty())
                        .map(Fixture::name)
                        .toList()));
    }

    private static List<Choice> choices(Plan plan, String chosen) {
        List<Choice> choices = new ArrayList<>();
        plan.lights()
                .looks()
                .forEach(look -> choices.add(choice("look " + look.id(), "the look " + look.name(), chosen)));
        plan.lights()
                .chases()
                .forEach(chase -> choices.add(choice("chase " + chase.id(), "the chase " + chase.name(), chosen)));
        plan.book().songs().forEach(song -> choices.add(choice("song " + song.id(), "all of " + song.title(), chosen)));
        plan.rig().devices().stream()
                .filter(device ->
                        Direct.isLit(plan.lights(), device.id(), plan.rig().chart(device.id())))
                .forEach(desk ->
                        choices.add(choice("desk " + desk.id(), "whatever " + desk.name() + " is told", chosen)));
        return choices;
    }

    private static Choice choice(String key, String words, String chosen) {
        return new Choice(key, words, key.equals(chosen));
    }

    /** What is to be sent by its key. */
    static LightStreams.What what(Plan plan, String key) {
        String id = key.substring(key.indexOf(' ') + 1);
        return plan.lights().looks().stream()
                .filter(look -> key.equals("look " + look.id()))
                .map(look -> new LightStreams.What(key, look.name().text(), Onstage.of(plan, look), Optional.empty()))
                .findFirst()
                .or(() -> plan.lights().chases().stream()
                        .filter(chase ->
                                key.startsWith("chase ") && id.equals(chase.id().text()))
                        .map(chase -> new LightStreams.What(
                                key, chase.name().text(), Onstage.of(plan, chase), Optional.empty()))
                        .findFirst())
                .or(() -> plan.book().songs().stream()
                        .filter(song ->
                                key.startsWith("song ") && id.equals(song.id().text()))
                        .map(song -> new LightStreams.What(
                                key, song.title().text(), Onstage.of(plan, song), Optional.of(song.lengthMicros())))
                        .findFirst())
                .or(() -> plan.rig().devices().stream()
                        .filter(device -> key.equals("desk " + device.id()))
                        .map(desk -> new LightStreams.What(
                                key,
                                "Whatever " + desk.name() + " is told",
                                new Onstage(plan, List.of()),
                                Optional.empty(),
                                Optional.of(desk.id())))
                        .findFirst())
                .orElseThrow(() -> Refused.text("what", "Choose a look, a chase or a song that is there."));
    }

    private static Now now(Plan plan, LightStreams.State state) {
        Plan sent = state.what().plan();
        return new Now(
                "%s, to %s"
                        .formatted(state.what().words(), state.to().isEmpty() ? "the simulated receiver" : state.to()),
                Clock.brief(
                        Math.min(state.atMicros(), state.what().lastsMicros().orElse(Long.MAX_VALUE))),
                !state.hasEnded(),
                state.trouble(),
                flashes(state),
                state.heard().map(heard -> heard(sent.lights(), state, heard)),
                state.live().map(live -> obeys(live, state.atMicros())));
    }

    private static Obeys obeys(LiveLight live, long micros) {
        Plan plan = live.light().plan();
        DeviceId desk = live.light().desk();
        return new Obeys(
                plan.rig().name(desk).text(),
                shows(live, micros),
                live.told().reversed().stream()
                        .map(told -> new ToldRow(
                                Clock.text(told.micros()),
                                words(told.arrived().message()),
                                told.arrived().reading().words(plan.rig(), desk)))
                        .toList(),
                plan.switches().assignments().stream()
                        .filter(assignment -> assignment.uses(desk))
                        .map(assignment -> new Foot(
                                assignment.at().key(),
                                assignment.label().map(TapeLabel::text).orElse(plan.words(assignment.at()))))
                        .toList());
    }

    private static String words(Message message) {
        return ChartWords.of(message)
                + (message instanceof Message.Voice on
                        ? ", channel " + on.channel().number()
                        : "");
    }

    private static String shows(LiveLight live, long micros) {
        Sight sight = live.light().sight();
        String seen = sight.running()
                .map(running -> running.chase().name())
                .or(() -> sight.look().map(Look::name))
                .map(TapeLabel::text)
                .orElse("nothing");
        return (sight.isBlackedOut() ? "dark; behind it " + seen : seen)
                + live.tempo()
                        .map(tempo -> ", %s quarters a minute".formatted(tempo))
                        .orElse("");
    }

    private static String flashes(LightStreams.State state) {
        Lights lights = state.what().plan().lights();
        Onstage onstage =
                state.live().map(LiveLight::onstage).orElse(state.what().onstage());
        List<Sight> sights = onstage.sights();
        long soFar = state.atMicros() + Flashes.LONG_ENOUGH_MICROS;
        return Stream.concat(
                        Flashes.of(lights, sights, state.what().lastsMicros().orElse(soFar)).stream(),
                        Scenery.looks(lights, sights).stream().flatMap(look -> Flashes.of(lights, look).stream()))
                .mapToDouble(Flashes::rate)
                .max()
                .stream()
                .mapToObj(rate -> String.format(Locale.ROOT, "%.1f flashes a second", rate))
                .findFirst()
                .orElse("");
    }

    private static HeardView heard(Lights lights, LightStreams.State state, SimulatedReceiver.Heard heard) {
        List<Output> shown = new ArrayList<>();
        List<Row> rows = new ArrayList<>();
        for (Fixture fixture : lights.fixtures()) {
            Lamp lamp = lights.lamp(fixture);
            List<Integer> slots = Frames.of(fixture, lamp.mode(), heard.frames());
            shown.add(slots.isEmpty() ? Output.DARK : lamp.showing(slots));
            rows.add(new Row(
                    fixture.name().text(),
                    fixture.at().map(Object::toString).orElse("no address"),
                    String.join(" ", slots.stream().map(String::valueOf).toList()),
                    slots.equals(Frames.of(fixture, lamp.mode(), state.meant()))));
        }
        return new HeardView(
                StageView.of(lights, shown),
                "%s, %s"
                        .formatted(
                                Words.count((int) heard.packets(), "packet"),
                                heard.lost() == 0 ? "none lost" : heard.lost() + " lost"),
                rows);
    }
}
