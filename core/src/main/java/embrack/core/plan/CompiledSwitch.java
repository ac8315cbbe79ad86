package embrack.core.plan;

import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import embrack.core.switches.SwitchAt;
import java.util.List;

/** All steps of one switch as messages. */
public record CompiledSwitch(SwitchAt at, List<CompiledStep> steps, Wire.RunningStatus runningStatus) {

    public CompiledSwitch {
        steps = List.copyOf(steps);
    }

    /** What a press sends, in order. */
    public List<Message> sent() {
        return steps.stream().filter(CompiledStep::isSent).flatMap(step -> step.messages().stream()).toList();
    }

    /** Bytes that a press puts on the cable. */
    public int bytes() {
        return Wire.stream(sent(), runningStatus).length;
    }

    /** Whether any step is stopped. */
    public boolean isObstructed() {
        return steps.stream().anyMatch(step -> step.obstacle().isPresent());
    }
}
