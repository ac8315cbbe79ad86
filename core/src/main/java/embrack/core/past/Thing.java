package embrack.core.past;

import embrack.core.gear.ModelId;
import embrack.core.light.ChaseId;
import embrack.core.light.FixtureId;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.LookId;
import embrack.core.light.Scenes;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.show.ShowId;
import embrack.core.show.SongId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Practice;
import embrack.core.switches.SwitchAt;
import java.util.Optional;

/**
 * One thing of a plan that somebody changes as one: what has a name of its own and can be as it was while all others
 * are as they are. A plan is no more than its things.
 */
public sealed interface Thing {

    /** The room in which it is changed. */
    enum Room {
        GEAR,
        WIRING,
        LIGHTS,
        SWITCHES,
        SONGS,
        ORDER
    }

    /** Where it is changed. */
    default Room room() {
        return switch (this) {
            case Name name -> Room.GEAR;
            case Hardware hardware -> Room.GEAR;
            case Box box -> Room.GEAR;
            case Lead lead -> Room.WIRING;
            case StandIn pair -> Room.WIRING;
            case Sort sort -> Room.LIGHTS;
            case Lamp lamp -> Room.LIGHTS;
            case OneLook look -> Room.LIGHTS;
            case Scene scene -> Room.LIGHTS;
            case OneChase chase -> Room.LIGHTS;
            case Pressed pressed -> Room.SWITCHES;
            case Moved moved -> Room.SWITCHES;
            case Way way -> Room.SWITCHES;
            case EverySong every -> Room.SONGS;
            case OneSong song -> Room.SONGS;
            case OneCue cue -> Room.SONGS;
            case OneShow show -> Room.ORDER;
            case OnePart part -> Room.ORDER;
        };
    }

    /** The thing that it is a part of, without which it is not there. */
    default Optional<Thing> owner() {
        return Optional.empty();
    }

    /** What identifies it, for forms. */
    default String key() {
        return toString();
    }

    /** What the rig is called. */
    record Name() implements Thing {}

    /** How hardware is described. */
    record Hardware(ModelId model) implements Thing {}

    /** A box, with all that is set on it. */
    record Box(DeviceId device) implements Thing {}

    /** What joins two ports. */
    record Lead(Socket from, Socket to) implements Thing {}

    /** What stands in for a box. */
    record StandIn(DeviceId first) implements Thing {}

    /** A switch, pad, key or button. */
    record Pressed(SwitchAt at) implements Thing {}

    /** A pedal, fader or knob. */
    record Moved(ControlAt at) implements Thing {}

    /** How the crew likes to work in one question. */
    record Way(Practice practice) implements Thing {}

    /** What every song sends, as one list. */
    record EverySong() implements Thing {}

    /** A song, but for its cues. */
    record OneSong(SongId song) implements Thing {}

    /** A cue of a song. */
    record OneCue(SongId song, int number) implements Thing {

        @Override
        public Optional<Thing> owner() {
            return Optional.of(new OneSong(song));
        }
    }

    /** A part of the order of a show. */
    record OnePart(ShowId show, int number) implements Thing {

        @Override
        public Optional<Thing> owner() {
            return Optional.of(new OneShow(show));
        }
    }

    /** A show with its folder, but for the parts of its order. */
    record OneShow(ShowId show) implements Thing {}

    /** How a fixture is described. */
    record Sort(FixtureTypeId type) implements Thing {}

    /** Something that gives light. */
    record Lamp(FixtureId fixture) implements Thing {}

    /** A look. */
    record OneLook(LookId look) implements Thing {}

    /** Which look stands in a scene of a desk. */
    record Scene(DeviceId desk, Scenes.Place place) implements Thing {}

    /** Looks that follow one another. */
    record OneChase(ChaseId chase) implements Thing {}
}
