package embrack.core.compile;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Verb;
import embrack.core.midi.Message;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Target;
import embrack.core.way.SignalPath;
import java.util.List;
import java.util.Optional;

/** What a treadle, fader or knob sends. */
public record CompiledControl(ControlAssignment controlAssignment, List<CompiledTarget> targets) {

    public CompiledControl {
        targets = List.copyOf(targets);
    }

    /**
     * One of the levels it moves.
     *
     * @param at what is sent for it at each position, 0 to 127; empty when its chart has no row for it
     * @param way the way that the messages take; empty when there is none
     * @param obstacle what stops it, if anything does
     */
    public record CompiledTarget(
            Target target, List<Message> at, Optional<SignalPath> way, Optional<Obstacle> obstacle) {

        public CompiledTarget {
            at = List.copyOf(at);
        }

        CompiledTarget stoppedBy(Obstacle other) {
            return new CompiledTarget(target, at, way, Optional.of(other));
        }

        public boolean isSent() {
            return !at.isEmpty() && obstacle.map(Obstacle::isSentAllTheSame).orElse(true);
        }
    }

    /** What is sent when it comes to a position, 0 to 127. */
    public List<Sending> sendings(int position) {
        return targets.stream()
                .filter(CompiledTarget::isSent)
                .map(target -> target.at().get(position))
                .distinct()
                .map(Sending::new)
                .toList();
    }

    public boolean isObstructed() {
        return targets.stream().anyMatch(target -> target.obstacle().isPresent());
    }

    /** What a device would have to learn for a target. */
    static LearnableId learnable(Target target) {
        return new LearnableId(Verb.LEVEL, target.part());
    }
}
