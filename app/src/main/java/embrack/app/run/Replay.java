package embrack.app.run;

import embrack.core.run.History;
import java.util.List;

/**
 * What came upon a run that is played again.
 *
 * @param end how far it had come, microseconds of the run
 */
record Replay(List<History.Done> acts, long end) {

    Replay {
        acts = List.copyOf(acts);
    }

    /** When the act comes behind so many that came; {@link Long#MAX_VALUE} behind the last. */
    long nextMicros(int came) {
        return came < acts.size() ? acts.get(came).at() : Long.MAX_VALUE;
    }

    /** Whether all of it was played, by a moment of the run. */
    boolean isOver(int came, long micros) {
        return came >= acts.size() && micros >= end;
    }
}
