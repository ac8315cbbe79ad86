package embrack.core.line;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import java.util.List;

/** What is wrong with what a box sent for a task. */
public sealed interface Amiss {

    /** Nothing came: it has no power, hangs elsewhere, is kept back on the way, or was never written. */
    record Nothing() implements Amiss {}

    /**
     * All is right but the channel.
     *
     * @param listening who listens on the one that it came on
     */
    record OnChannel(Channel came, Channel planned, List<DeviceId> listening) implements Amiss {
        public OnChannel {
            listening = List.copyOf(listening);
        }
    }

    /** All numbers are too high, or below 0 too low, by as much: 1 where a box counts from 0, 12 by an octave. */
    record OffBy(int by) implements Amiss {}

    /** Off comes for on, or on for off. */
    record WrongWay(Message came, Message planned) implements Amiss {}

    /** The number is right, its value is another, on the same side. */
    record OtherValue(Message came, Message planned) implements Amiss {}

    /** What is planned for another switch of the box. */
    record OtherSwitch(Task other) implements Amiss {}

    /** This switch sends what is planned for another one, and that one what is planned for this. */
    record Exchanged(Task other) implements Amiss {}

    /** What is planned for this switch in another bank, and there what is planned here. */
    record BanksExchanged(int here, int there) implements Amiss {}

    /** Everything comes twice: a loop, two ways to the same place, or the same written twice. */
    record Doubled() implements Amiss {}

    /** Right at one press, and the other value at the next, where the same was planned at every press. */
    record Alternates() implements Amiss {}

    /** The other value comes as the foot lets go, where nothing was planned. */
    record Momentary() implements Amiss {}

    /** The same comes at every press, where two in turn were planned. */
    record NeverTurns() implements Amiss {}

    /** Nothing comes as the foot lets go. */
    record NoRelease(List<Message> planned) implements Amiss {
        public NoRelease {
            planned = List.copyOf(planned);
        }
    }

    /** All that was planned, and something more. */
    record More(List<Message> extra) implements Amiss {
        public More {
            extra = List.copyOf(extra);
        }
    }

    /** Some of what was planned is missing. */
    record Fewer(List<Message> missing) implements Amiss {
        public Fewer {
            missing = List.copyOf(missing);
        }
    }

    /** All that was planned, in another order. */
    record Order() implements Amiss {}

    /** Another sort of message. */
    record OtherType(Message came, Message planned) implements Amiss {}

    /** It waits between two messages, but not as long as planned; in milliseconds. */
    record Waits(long came, long planned) implements Amiss {}

    /** Something else. */
    record Unlike(List<Message> came) implements Amiss {
        public Unlike {
            came = List.copyOf(came);
        }
    }

    /** Whether it can stop a show; the rest is right for those who press once, and only then. */
    default boolean isGrave() {
        return !(this instanceof Alternates || this instanceof Waits || this instanceof Order || this instanceof More);
    }
}
