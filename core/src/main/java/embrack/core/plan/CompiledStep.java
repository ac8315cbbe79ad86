package embrack.core.plan;

import embrack.core.midi.Message;
import embrack.core.rig.Cable;
import embrack.core.switches.Step;
import java.util.List;
import java.util.Optional;

/**
 * A step with the messages that do it.
 *
 * @param messages what has to be sent, in order; empty when the chart has no row for it
 * @param path the cables it takes, empty when there are none
 * @param obstacle what stops it, if anything does
 */
public record CompiledStep(Step step, List<Message> messages, List<Cable> path, Optional<Obstacle> obstacle) {

    public CompiledStep {
        messages = List.copyOf(messages);
        path = List.copyOf(path);
    }

    /** Whether the board sends the messages, even if they then lead nowhere. */
    public boolean isSent() {
        return !messages.isEmpty() && obstacle.map(o -> o instanceof Obstacle.NoPath).orElse(true);
    }
}
