package embrack.core.world;

import embrack.core.chart.Action;
import embrack.core.midi.Channel;
import embrack.core.name.Words;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.List;

/** What a box makes of a message that arrives. */
public sealed interface Reading {

    /** What a device of a rig makes of it, in words: "recall Scene 3", "ignored: it listens on channel 3". */
    default String words(Rig rig, DeviceId device) {
        return switch (this) {
            case Acts acts ->
                Words.list(acts.actions().stream()
                        .map(action -> rig.words(device, action))
                        .toList());
            case OtherChannel other ->
                "ignored: it listens on channel " + other.listensOn().number();
            case InputOff off -> "ignored: %s is off".formatted(off.setting());
            case Deaf deaf -> "ignored: it loads or starts, and obeys nothing yet";
            case NotWritten memory ->
                "ignored: nothing was written into memory %d, which it has loaded".formatted(memory.memory());
            case MeansNothing nothing -> "ignored: it means nothing to this box";
        };
    }

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
