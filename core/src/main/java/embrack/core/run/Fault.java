package embrack.core.run;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import embrack.core.world.Place;

/** Something that goes wrong in a run. Times are in microseconds. */
public sealed interface Fault {

    /**
     * A cable comes out, or a wireless or network link is gone.
     *
     * @param backAfterMicros until it is back by itself; 0 for until somebody brings it back
     */
    record LinkOut(Link link, long backAfterMicros) implements Fault {}

    /**
     * A box goes dark, with all that it powers and hosts: it hangs, dies, or is switched off.
     *
     * @param backAfterMicros until it is switched on again by itself; 0 for until somebody does; how long it takes to
     * start then comes on top
     */
    record BoxOut(DeviceId box, long backAfterMicros) implements Fault {}

    /** Something befalls the next message over a link. */
    record Slip(Link link, Event.Fate fate) implements Fault {}

    /** Messages over a link come late, again and again, for a while. */
    record Stutter(Link link, long forMicros) implements Fault {

        /** How long after one message that came late the next one does. Common practice, no source. */
        static final long EVERY_MICROS = 200_000;
    }

    /** Somebody presses a switch that nobody was to press. */
    record Misstep(SwitchAt at) implements Fault {}

    /** A part of a box stands as it should not: the wrong memory is loaded, somebody leaned on a key. */
    record Astray(Place place, int value) implements Fault {}

    /** The part of the evening that goes on takes longer than planned. */
    record Overrun(long micros) implements Fault {}
}
