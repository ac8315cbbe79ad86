package embrack.core.plan;

import embrack.core.midi.Message;
import embrack.core.rig.Cable;
import embrack.core.switches.Step;
import java.util.List;
import java.util.Optional;

/**
 * A step with the message that does it.
 *
 * @param message what has to be sent, if the chart has a line for it
 * @param path the cables it takes, empty when there are none
 * @param obstacle what stops it, if anything does
 */
public record CompiledStep(Step step, Optional<Message> message, List<Cable> path, Optional<Obstacle> obstacle) {

    public CompiledStep {
        path = List.copyOf(path);
    }

    /** Whether the board sends the message, even if it then leads nowhere. */
    public boolean isSent() {
        return message.isPresent() && obstacle.map(o -> o instanceof Obstacle.NoPath).orElse(true);
    }
}
