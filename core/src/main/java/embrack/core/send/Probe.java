package embrack.core.send;

import embrack.core.chart.Action;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * An action that a box is sent, so that somebody sees whether it does it.
 *
 * @param messages that make it do so as it is planned, in the order of sending, at least one
 * @param cautions what of it can hurt somebody
 */
public record Probe(DeviceId device, Action action, List<Message> messages, Set<Caution> cautions) {

    static final String ROOM = "core/send";

    public Probe {
        messages = List.copyOf(messages);
        cautions = Set.copyOf(cautions);
        if (messages.isEmpty()) {
            throw new IllegalArgumentException("nothing makes %s of %s".formatted(action.key(), device));
        }
    }

    /** The probe in one word for links and tables: {@code vocal-mixer/mute:return-1}. */
    public String key() {
        return device + "/" + action.key();
    }

    /** Whether it is not sent before somebody says yes once more. */
    public boolean isAskedTwice() {
        return cautions.stream().anyMatch(Caution::isAskedTwice);
    }

    /** Its messages in one line, by which a later plan is told apart. */
    public String written() {
        return messages.stream().map(message -> message.hex().replace(" ", "")).collect(Collectors.joining(" "));
    }
}
