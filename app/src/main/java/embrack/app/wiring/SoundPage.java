package embrack.app.wiring;

import embrack.core.chart.Aspect;
import embrack.core.gear.Ear;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.live.SoundTurn;
import embrack.core.live.Soundscape;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.Feed;
import embrack.core.rig.Length;
import embrack.core.rig.Onward;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.sheet.ConsoleList;
import embrack.core.sound.Changeover;
import embrack.core.sound.Heard;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Stand;
import embrack.paper.drawing.Layer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Sound: who hears what, the picture of its leads, what is on the outputs of players, what people at their ears need.
 *
 * @param states in which it can be looked at
 * @param at what is in focus, as the address has it
 * @param way the way that is looked at; null for none
 * @param port the socket that is to be joined; null for none
 * @param link the lead that was chosen; null for none
 * @param onward the leads that could follow it: "Output 2 to Input 2"
 * @param consoles boxes with a mix of their own
 * @param turns what changes from song to song of tonight; none where no song changes anything
 */
record SoundPage(
        HearTable hears,
        List<State> states,
        String state,
        String at,
        WiringPicture picture,
        List<WiringPage.LegendKind> legend,
        HearTable.@Nullable Way way,
        @Nullable PortPanel port,
        @Nullable LinkRow link,
        List<String> onward,
        List<Player> players,
        List<Listening> listening,
        List<Console> consoles,
        List<Turn> turns) {

    /** How everything stands. */
    record State(String key, String words) {}

    /** A song, and what is heard otherwise as it begins. */
    record Turn(String song, String title, List<String> changes) {}

    /** Who hears at a box. */
    record Listening(String id, String name, String kind, List<Tick> wants, String away) {}

    /** A box with a mix of its own. */
    record Console(String id, String name, int inputs) {}

    /**
     * A device.
     *
     * @param on what is on its outputs: "click on Output 3", one an output
     * @param isOpen whether a lead is in an output of which nobody said what is on it
     */
    record Player(String id, String name, String model, List<String> on, boolean isOpen, List<Output> outputs) {}

    /** An output; {@code goesTo} what its lead goes to, empty where there is none. */
    record Output(
            String key, String name, List<Tick> sounds, List<Tick> ears, String words, boolean isUsed, String goesTo) {}

    /** Something that is on it or not. */
    record Tick(String key, String words, boolean isOn) {}

    private static final String OPEN = "open";
    private static final String DOORS = "doors";
    private static final String FAILOVER = "failover";

    static SoundPage of(Plan plan, String state, String at) {
        Rig rig = plan.rig();
        SoundPaths paths = new SoundPaths(rig);
        Soundscape scape = new Soundscape(plan, paths);
        Heard heard =
                state.equals(FAILOVER) ? paths.heard(Changeover.seconds(paths, Stand.OPEN)) : heard(plan, scape, state);
        Focus focus = Focus.parse(plan, at, "");
        String way = at.startsWith("way:") ? at.substring("way:".length()) : "";
        return new SoundPage(
                HearTable.of(paths, heard, scape.open()),
                states(plan, paths, scape),
                state,
                at,
                WiringPicture.of(rig, Layer.SOUND, focus, lit(paths, heard, focus, way)),
                WiringPage.LegendKind.of(Layer.SOUND),
                HearTable.way(paths, heard, way).orElse(null),
                focus instanceof Focus.OnPort p ? PortPanel.of(rig, p.socket()) : null,
                focus instanceof Focus.OnLink l ? LinkRow.of(rig, l.link()) : null,
                focus instanceof Focus.OnLink l
                        ? Onward.after(rig, l.link()).stream()
                                .map(lead -> "%s to %s".formatted(rig.words(lead.from()), rig.words(lead.to())))
                                .toList()
                        : List.of(),
                rig.devices().stream()
                        .filter(d -> isPlayer(rig, d))
                        .map(d -> player(rig, d))
                        .filter(player -> !player.outputs().isEmpty())
                        .toList(),
                rig.devices().stream()
                        .filter(d -> !rig.model(d.id()).sound().ears().isEmpty())
                        .map(d -> listening(rig, d))
                        .toList(),
                ConsoleList.consoles(paths).stream()
                        .map(id -> new Console(
                                id.text(),
                                rig.name(id).text(),
                                ConsoleList.of(paths, id).inputs().size()))
                        .toList(),
                turns(plan, paths, scape));
    }

    private static List<Turn> turns(Plan plan, SoundPaths paths, Soundscape scape) {
        List<SoundTurn> turns = SoundTurn.of(paths, scape);
        return turns.stream().allMatch(turn -> turn.shifts().isEmpty())
                ? List.of()
                : turns.stream()
                        .map(turn -> new Turn(
                                turn.song().text(),
                                plan.book().song(turn.song()).title().text(),
                                turn.shifts().stream()
                                        .map(shift -> words(plan.rig(), paths, shift))
                                        .toList()))
                        .toList();
    }

    private static String words(Rig rig, SoundPaths paths, SoundTurn.Shift shift) {
        String who = shift.listeners().size() == paths.listeners().size()
                ? "everybody"
                : Words.list(shift.listeners().stream()
                        .map(listener -> listener.words(rig))
                        .toList());
        return "%s %s %s"
                .formatted(
                        Words.capital(shift.source().words(rig)),
                        switch (shift.way()) {
                            case GONE -> "no more for";
                            case BACK -> "comes in for";
                            case LOUDER -> "louder for";
                            case SOFTER -> "softer for";
                        },
                        who);
    }

    private static Optional<Focus.Lit> lit(SoundPaths paths, Heard heard, Focus focus, String way) {
        return focus instanceof Focus.OnLink l
                ? Optional.of(new Focus.Lit(
                        Set.of(l.link().from().device(), l.link().to().device()), Set.of(l.link())))
                : HearTable.lit(paths, heard, way);
    }

    private static Heard heard(Plan plan, Soundscape scape, String state) {
        return plan.book().songs().stream()
                .filter(song -> song.id().text().equals(state))
                .findFirst()
                .map(scape::in)
                .or(() -> scape.otherwise().stream()
                        .filter(other -> key(other).equals(state))
                        .findFirst()
                        .map(scape::with))
                .orElseGet(() -> state.equals(DOORS) ? scape.atDoors() : scape.open());
    }

    private static List<State> states(Plan plan, SoundPaths paths, Soundscape scape) {
        List<State> states = new ArrayList<>();
        states.add(new State(OPEN, "with everything open"));
        states.add(new State(DOORS, "as it stands at doors"));
        List<TapeLabel> seconds = plan.rig().pairs().stream()
                .map(Pair::second)
                .filter(second -> !paths.of(second).isEmpty())
                .map(plan.rig()::name)
                .toList();
        if (!seconds.isEmpty()) {
            states.add(new State(FAILOVER, "after failover, with %s in".formatted(Words.list(seconds))));
        }
        plan.book().songs().forEach(song -> states.add(new State(song.id().text(), "as it begins: " + song.title())));
        scape.otherwise()
                .forEach(other -> states.add(new State(
                        key(other),
                        "at doors, but %s of %s %s"
                                .formatted(
                                        plan.rig()
                                                .partName(
                                                        other.place().device(),
                                                        other.place().part()),
                                        plan.rig().name(other.place().device()),
                                        stands(plan.rig(), other)))));
        return states;
    }

    /** In an address: {@code vocal-mixer.input-3.muted}. */
    private static String key(Soundscape.Otherwise other) {
        return "%s.%s.%s"
                .formatted(
                        other.place().device(),
                        other.place().part(),
                        other.place().aspect().name().toLowerCase(Locale.ROOT));
    }

    private static String stands(Rig rig, Soundscape.Otherwise other) {
        String word = other.place().word(rig, other.value());
        return other.place().aspect() == Aspect.LEVEL ? "at " + word : word;
    }

    /** Boxes that people put something on the outputs of: what a console or a microphone sends follows from it. */
    private static boolean isPlayer(Rig rig, Device device) {
        Model model = rig.model(device.id());
        return !model.outputs().isEmpty()
                && (model.sound().sources().isEmpty() || !device.feeds().isEmpty())
                && (model.sound().runs().isEmpty()
                        || model.kind() == Kind.PLAYBACK_PAIR
                        || !device.feeds().isEmpty());
    }

    private static Listening listening(Rig rig, Device device) {
        return new Listening(
                device.id().text(),
                device.name().text(),
                Words.list(rig.model(device.id()).sound().ears().values().stream()
                        .distinct()
                        .map(Ear::words)
                        .toList()),
                Stream.of(Sound.values())
                        .filter(sound -> sound != Sound.HEARTBEAT)
                        .map(s -> new Tick(
                                s.name(), s.words(), device.sound().wants().contains(s)))
                        .toList(),
                device.sound()
                        .away()
                        .map(Length::words)
                        .map(m -> m.replace(" m", ""))
                        .orElse(""));
    }

    private static Player player(Rig rig, Device device) {
        List<Output> outputs = rig.model(device.id()).outputs().stream()
                .filter(port -> device.feed(port.id()).isUsed() || !isPassedOn(rig, device, port))
                .map(port -> output(rig, device, port))
                .toList();
        return new Player(
                device.id().text(),
                device.name().text(),
                rig.model(device.id()).name().text(),
                outputs.stream().filter(o -> o.isUsed).map(SoundPage::on).toList(),
                outputs.stream().anyMatch(o -> !o.isUsed && !o.goesTo.isEmpty()),
                outputs);
    }

    /** Whether a lead brings what comes out of it: then that says what is on it. */
    private static boolean isPassedOn(Rig rig, Device device, Port output) {
        return rig.model(device.id()).sound().ways().stream()
                .anyMatch(way -> way.to().port().equals(output.id())
                        && !rig.linksIn(new Socket(device.id(), way.from().port()))
                                .isEmpty());
    }

    private static String on(Output output) {
        return "%s on %s"
                .formatted(
                        Words.list(output.sounds.stream()
                                .filter(Tick::isOn)
                                .map(Tick::words)
                                .toList()),
                        output.name);
    }

    private static Output output(Rig rig, Device device, Port port) {
        PortId id = port.id();
        Feed feed = device.feed(id);
        return new Output(
                id.text(),
                port.name().text(),
                Stream.of(Sound.values())
                        .map(s -> new Tick(s.name(), s.words(), feed.sounds().contains(s)))
                        .toList(),
                Stream.of(Ear.values())
                        .map(e -> new Tick(e.name(), e.words(), feed.to().contains(e)))
                        .toList(),
                feed.words(),
                feed.isUsed(),
                rig.linksIn(new Socket(device.id(), id)).stream()
                        .map(link -> rig.words(link.to()))
                        .findFirst()
                        .orElse(""));
    }
}
