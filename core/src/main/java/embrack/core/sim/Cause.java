package embrack.core.sim;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Response;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import embrack.core.world.Place;
import java.util.List;

/** Why something does not do at a place what is meant: the earliest difference on the way of its message. */
public sealed interface Cause {

    /** A box on the way puts it onto another channel. {@code sent} as it left, {@code arrived} as it came. */
    record Moved(DeviceId box, Message.Voice sent, Message.Voice arrived) implements Cause {}

    /** It arrives on a channel that the receiver does not listen to. */
    record OtherChannel(Channel sentOn, Channel listensOn) implements Cause {}

    /** The input of the receiver that it would need is off. {@code setting} in words. */
    record InputOff(String setting) implements Cause {}

    /** The receiver loads a memory, and obeys nothing meanwhile. */
    record Deaf() implements Cause {}

    /** The memory that is loaded was never written. {@code memory} from 1. */
    record Unwritten(int memory) implements Cause {}

    /** The receiver reads it by what came before it: a bank select, or half of a parameter's number. */
    record ReadByBefore(Message message) implements Cause {}

    /** The chart that it was taken from does not say what the box does. */
    record ChartWrong() implements Cause {}

    /** A message that is meant for another box, or for another part of this one, moves it. */
    record Overheard(Message message, DeviceId meantFor) implements Cause {}

    /** Two functions of one box have learned the same message. */
    record LearnedTwice(Message message, List<LearnableId> functions) implements Cause {
        public LearnedTwice {
            functions = List.copyOf(functions);
        }
    }

    /** The input that has learned it is set so that some values or presses do nothing. */
    record InputSet(Step step, Response response) implements Cause {}

    /** The switch sends it by itself, on release or at every second press. */
    record SentByMode() implements Cause {}

    /** The box can only turn it round, and it stood so already. */
    record TurnedRound() implements Cause {}

    /** It was started, and stands still without something else. */
    record StandsStill(Place still) implements Cause {}

    /** A scene was recalled in another bank than the one that is meant. */
    record OtherBank(Place scene) implements Cause {}

    /** Nothing comes to the box: no way leads to one that stands in for another. */
    record NotReached() implements Cause {}

    /** What comes is about something else. */
    record Nothing() implements Cause {}
}
