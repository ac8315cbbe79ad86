package embrack.app.wiring;

import embrack.core.gear.Ear;
import embrack.core.gear.Model;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.live.Soundscape;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.Feed;
import embrack.core.rig.Length;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.sheet.ConsoleList;
import embrack.core.sound.Heard;
import embrack.core.sound.SoundPaths;
import java.util.List;
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
 * @param consoles boxes with a mix of their own
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
        List<Player> players,
        List<Listening> listening,
        List<Console> consoles) {

    /** How everything stands. */
    record State(String key, String words) {}

    /** Who hears at a box. */
    record Listening(String id, String name, String kind, List<Tick> wants, String away) {}

    /** A box with a mix of its own. */
    record Console(String id, String name, int inputs) {}

    /** A device; {@code free} counts outputs that are not used. */
    record Player(String id, String name, String model, int free, List<Output> outputs) {}

    /** An output; {@code goesTo} what its lead goes to, empty where there is none. */
    record Output(
            String key, String name, List<Tick> sounds, List<Tick> ears, String words, boolean isUsed, String goesTo) {}

    /** Something that is on it or not. */
    record Tick(String key, String words, boolean isOn) {}

    private static final String OPEN = "open";
    private static final String DOORS = "doors";

    static SoundPage of(Plan plan, String state, String at) {
        Rig rig = plan.rig();
        SoundPaths paths = new SoundPaths(rig);
        Soundscape scape = new Soundscape(plan, paths);
        Heard heard = heard(plan, scape, state);
        Focus focus = Focus.parse(plan, at, "");
        String way = at.startsWith("way:") ? at.substring("way:".length()) : "";
        return new SoundPage(
                HearTable.of(paths, heard),
                states(plan),
                state,
                at,
                WiringPicture.of(rig, Layer.SOUND, focus, lit(paths, heard, focus, way)),
                WiringPage.LegendKind.of(Layer.SOUND),
                HearTable.way(paths, heard, way).orElse(null),
                focus instanceof Focus.OnPort p ? PortPanel.of(rig, p.socket()) : null,
                focus instanceof Focus.OnLink l ? LinkRow.of(rig, l.link()) : null,
                rig.devices().stream()
                        .filter(d -> isPlayer(rig, d))
                        .map(d -> player(rig, d))
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
                        .toList());
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
                .orElseGet(() -> state.equals(DOORS) ? scape.atDoors() : scape.open());
    }

    private static List<State> states(Plan plan) {
        return Stream.concat(
                        Stream.of(new State(OPEN, "with everything open"), new State(DOORS, "as it stands at doors")),
                        plan.book().songs().stream()
                                .map(song -> new State(song.id().text(), "as it begins: " + song.title())))
                .toList();
    }

    /** Boxes that people put something on the outputs of: what a console or a microphone sends follows from it. */
    private static boolean isPlayer(Rig rig, Device device) {
        Model model = rig.model(device.id());
        return !model.outputs().isEmpty()
                && model.sound().sources().isEmpty()
                && (model.sound().runs().isEmpty() || !device.feeds().isEmpty());
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
                .map(port -> output(rig, device, port))
                .toList();
        return new Player(
                device.id().text(),
                device.name().text(),
                rig.model(device.id()).name().text(),
                (int) outputs.stream().filter(o -> !o.isUsed).count(),
                outputs);
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
