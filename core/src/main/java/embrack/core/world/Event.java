package embrack.core.world;

import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Pair;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;

/** What comes upon a rig from outside: feet and hands, time, and what goes wrong. */
public sealed interface Event {

    /** Time goes by, and messages go on their ways. {@code micros} in microseconds, 0 or more. */
    record Wait(long micros) implements Event {
        public Wait {
            if (micros < 0) {
                throw new IllegalArgumentException("time goes on, by 0 microseconds or more, was " + micros);
            }
        }
    }

    /** What a foot or hand does to a box, which takes notice only while it is on. */
    sealed interface ByHand extends Event {
        DeviceId box();
    }

    /** What a foot does to a switch. */
    sealed interface ByFoot extends ByHand {
        SwitchAt at();

        @Override
        default DeviceId box() {
            return at().board();
        }
    }

    /** A foot goes down on a switch. The board shows its bank from then on. */
    record Press(SwitchAt at) implements ByFoot {}

    /** A foot that is down has been so long enough for a hold. */
    record Hold(SwitchAt at) implements ByFoot {}

    /** A foot lets go. */
    record Release(SwitchAt at) implements ByFoot {}

    /** A foot presses twice, so fast that the board takes it for a double press. */
    record DoublePress(SwitchAt at) implements ByFoot {}

    /** A board is turned to a bank, counted from 1. */
    record TurnTo(DeviceId box, int bank) implements ByHand {}

    /** A hand or foot moves a control to a position, 0 to 127. */
    record Move(ControlAt at, int position) implements ByHand {
        @Override
        public DeviceId box() {
            return at.box();
        }
    }

    /** Somebody sets a part at its box, so that it stands otherwise and no message told anybody. */
    record Set(Place place, int value) implements ByHand {
        @Override
        public DeviceId box() {
            return place.device();
        }
    }

    /** A box sends a message of its own, as a player does for a cue; for a pair that went over, the other one does. */
    record Send(DeviceId from, Message message) implements Event {}

    /**
     * A box begins to send clock, goes on at another tempo, or ends. Clock is a flow: 24 messages a quarter are not
     * followed one by one, but where they come to ({@link Engine#clocks}). Start, continue and stop are messages as
     * any other ({@link Send}).
     *
     * @param tempo in beats a minute, 1 to 999; 0 when it ends
     */
    record Clock(DeviceId from, int tempo) implements Event {
        public Clock {
            if (tempo < 0 || tempo > 999) {
                throw new IllegalArgumentException("a clock has 0 to 999 beats a minute, was " + tempo);
            }
        }
    }

    /** A link comes out, and what is on it is lost. */
    record LinkOut(Link link) implements Event {}

    /** A link is put back. */
    record LinkBack(Link link) implements Event {}

    /** A box goes dark, with all that it powers and hosts; it forgets what it does not keep. */
    record Off(DeviceId device) implements Event {}

    /** A box is switched on again, with what went dark by it, and obeys once it has started. */
    record On(DeviceId device) implements Event {}

    /** The other one of a pair takes over, by somebody's hand. */
    record GoOver(Pair pair) implements Event {}

    /** The first one of a pair takes over again. */
    record GoBack(Pair pair) implements Event {}

    /** Something befalls the next message over a link. */
    record Mishap(Link link, Fate fate) implements Event {}

    /** What can befall a message. */
    enum Fate {
        LOST,
        DOUBLED,
        /** It comes later by {@link #LATE_MICROS}. */
        LATE;

        /** How late it comes, in microseconds. */
        public static final long LATE_MICROS = 100_000;
    }
}
