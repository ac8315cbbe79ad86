package embrack.app.light;

import embrack.core.edit.Refused;
import embrack.core.light.Fixture;
import embrack.core.light.Frames;
import embrack.core.light.Lamp;
import embrack.core.light.Lights;
import embrack.core.light.Output;
import embrack.core.music.Clock;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
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
            String words, String clock, boolean isRunning, String trouble, String flashes, Optional<HeardView> heard) {}

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
                .orElseThrow(() -> Refused.text("what", "Choose a look, a chase or a song that is there."));
    }

    private static Now now(Plan plan, LightStreams.State state) {
        Plan sent = state.what().onstage().plan();
        return new Now(
                "%s, to %s"
                        .formatted(state.what().words(), state.to().isEmpty() ? "the simulated receiver" : state.to()),
                Clock.brief(
                        Math.min(state.atMicros(), state.what().lastsMicros().orElse(Long.MAX_VALUE))),
                !state.hasEnded(),
                state.trouble(),
                flashes(state.what()),
                state.heard().map(heard -> heard(sent.lights(), state, heard)));
    }

    private static String flashes(LightStreams.What what) {
        Lights lights = what.onstage().plan().lights();
        List<Sight> sights = what.onstage().sights();
        return Stream.concat(
                        Flashes.of(lights, sights, what.lastsMicros().orElse(Flashes.LONG_ENOUGH_MICROS)).stream(),
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
