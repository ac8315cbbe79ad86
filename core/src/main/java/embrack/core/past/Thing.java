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
    Room room();

    /** The thing that it is a part of, without which it is not there. */
    default Optional<Thing> owner() {
        return Optional.empty();
    }

    /** What identifies it, for forms. */
    default String key() {
        return toString();
    }

    /** What the rig is called. */
    record Name() implements Thing {
        @Override
        public Room room() {
            return Room.GEAR;
        }
    }

    /** How hardware is described. */
    record Hardware(ModelId model) implements Thing {
        @Override
        public Room room() {
            return Room.GEAR;
        }
    }

    /** A box, with all that is set on it. */
    record Box(DeviceId device) implements Thing {
        @Override
        public Room room() {
            return Room.GEAR;
        }
    }

    /** What joins two ports. */
    record Lead(Socket from, Socket to) implements Thing {
        @Override
        public Room room() {
            return Room.WIRING;
        }
    }

    /** What stands in for a box. */
    record StandIn(DeviceId first) implements Thing {
        @Override
        public Room room() {
            return Room.WIRING;
        }
    }

    /** A switch, pad, key or button. */
    record Pressed(SwitchAt at) implements Thing {
        @Override
        public Room room() {
            return Room.SWITCHES;
        }
    }

    /** A pedal, fader or knob. */
    record Moved(ControlAt at) implements Thing {
        @Override
        public Room room() {
            return Room.SWITCHES;
        }
    }

    /** How the crew likes to work in one question. */
    record Way(Practice practice) implements Thing {
        @Override
        public Room room() {
            return Room.SWITCHES;
        }
    }

    /** What every song sends, as one list. */
    record EverySong() implements Thing {
        @Override
        public Room room() {
            return Room.SONGS;
        }
    }

    /** A song, but for its cues. */
    record OneSong(SongId song) implements Thing {
        @Override
        public Room room() {
            return Room.SONGS;
        }
    }

    /** A cue of a song. */
    record OneCue(SongId song, int number) implements Thing {
        @Override
        public Room room() {
            return Room.SONGS;
        }

        @Override
        public Optional<Thing> owner() {
            return Optional.of(new OneSong(song));
        }
    }

    /** A part of the order of a show. */
    record OnePart(ShowId show, int number) implements Thing {
        @Override
        public Room room() {
            return Room.ORDER;
        }

        @Override
        public Optional<Thing> owner() {
            return Optional.of(new OneShow(show));
        }
    }

    /** A show with its folder, but for the parts of its order. */
    record OneShow(ShowId show) implements Thing {
        @Override
        public Room room() {
            return Room.ORDER;
        }
    }

    /** How a fixture is described. */
    record Sort(FixtureTypeId type) implements Thing {
        @Override
        public Room room() {
            return Room.LIGHTS;
        }
    }

    /** Something that gives light. */
    record Lamp(FixtureId fixture) implements Thing {
        @Override
        public Room room() {
            return Room.LIGHTS;
        }
    }

    /** A look. */
    record OneLook(LookId look) implements Thing {
        @Override
        public Room room() {
            return Room.LIGHTS;
        }
    }

    /** Which look stands in a scene of a desk. */
    record Scene(DeviceId desk, Scenes.Place place) implements Thing {
        @Override
        public Room room() {
            return Room.LIGHTS;
        }
    }

    /** Looks that follow one another. */
    record OneChase(ChaseId chase) implements Thing {
        @Override
        public Room room() {
            return Room.LIGHTS;
        }
    }
}
