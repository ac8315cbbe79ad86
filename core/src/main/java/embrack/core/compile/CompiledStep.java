package embrack.core.compile;

import embrack.core.midi.Message;
import embrack.core.switches.Step;
import embrack.core.way.SignalPath;
import java.util.List;
import java.util.Optional;

/**
 * A step with the messages that do it.
 *
 * @param messages what has to be sent, in order; empty when the chart has no row for it
 * @param way the way that the messages take; empty when there is none
 * @param obstacle what stops it, if anything does
 */
public record CompiledStep(Step step, List<Message> messages, Optional<SignalPath> way, Optional<Obstacle> obstacle) {

    public CompiledStep {
        messages = List.copyOf(messages);
    }

    /** Whether the board sends the messages, even if they then lead nowhere. */
    public boolean isSent() {
        return !messages.isEmpty() && obstacle.map(Obstacle::isSentAllTheSame).orElse(true);
    }

    CompiledStep stoppedBy(Obstacle other) {
        return new CompiledStep(step, messages, way, Optional.of(other));
    }
}
