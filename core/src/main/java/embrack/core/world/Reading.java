package embrack.core.world;

import embrack.core.chart.Action;
import embrack.core.midi.Channel;
import java.util.List;

/** What a box makes of a message that arrives. */
public sealed interface Reading {

    /** It does something. {@code actions} holds at least one. */
    record Acts(List<Action> actions) implements Reading {
        public Acts {
            actions = List.copyOf(actions);
        }
    }

    /** It listens to another channel. */
    record OtherChannel(Channel listensOn) implements Reading {}

    /** An input of the app is off that the message would need. {@code setting} in words. */
    record InputOff(String setting) implements Reading {}

    /** It loads a memory, or starts, and obeys nothing meanwhile. */
    record Deaf() implements Reading {}

    /** The memory that it has loaded was never written: what it learned is not in there. {@code memory} from 1. */
    record NotWritten(int memory) implements Reading {}

    /** The message is on its channel but means nothing to it, or it listens to nothing. */
    record MeansNothing() implements Reading {}
}
