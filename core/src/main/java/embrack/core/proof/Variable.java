package embrack.core.proof;

import embrack.core.chart.MessageMemory;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Place;

/** One thing in a rig that can differ and may decide what a later gesture does. Its values are numbers from 0. */
sealed interface Variable {

    /** How an aspect of a part stands. */
    record Stands(Place place) implements Variable {
        @Override
        public boolean isFresh() {
            return place.aspect().isCount();
        }
    }

    /** The side of a switch that alternates: 0 the first, 1 the second. */
    record Side(SwitchAt at) implements Variable {}

    /** Whether a foot is on a switch that does something when it lets go. */
    record Down(SwitchAt at) implements Variable {}

    /** What a device remembers of the messages that came, in one respect. */
    record Heard(DeviceId device, MessageMemory.Key key) implements Variable {}

    /** The last level that came at a place where a control takes over, and one more; 0 for none. */
    record Came(Place place) implements Variable {}

    /** Until when a device obeys nothing, in microseconds from the beginning of the gesture. */
    record Deaf(DeviceId device) implements Variable {
        @Override
        public boolean isFresh() {
            return true;
        }
    }

    /** Whether it is 0 whenever a gesture begins: what only counts is judged by what is added. */
    default boolean isFresh() {
        return false;
    }
}
