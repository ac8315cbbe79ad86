package embrack.core.stage;

import embrack.core.light.Chase;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.Stepping;
import embrack.core.music.Tempo;
import java.util.Optional;

/** A chase that runs, and when its steps begin. */
public record Running(Chase chase, Stepping steps) {

    /** A chase from a time on, microseconds, at a tempo. */
    public static Running from(long micros, Chase chase, Tempo tempo) {
        return new Running(chase, chase.pace().began(micros, tempo));
    }

    /** The look that is shown at a time, microseconds. */
    public Optional<Look> look(Lights lights, long micros) {
        return chase.look(lights, steps.stepAt(micros));
    }
}
