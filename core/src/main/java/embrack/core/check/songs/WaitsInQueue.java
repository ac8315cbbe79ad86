package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.Queue;
import java.util.stream.Stream;

/** Too many messages on one cable at one moment: the last waits so long that it is noticed. */
final class WaitsInQueue implements Rule {

    /** A wait that is felt, 10 ms. Common practice, no source. */
    static final long FELT_MICROS = 10_000;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "queue");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().songs().stream()
                .flatMap(proof -> proof.queues().stream()
                        .filter(queue -> queue.waitMicros() > FELT_MICROS)
                        .map(queue -> finding(proof.song(), queue)));
    }

    private Finding finding(Song song, Queue queue) {
        return found(Severity.LOOK)
                .with("song", song)
                .with("moment", queue.micros())
                .with("messages", queue.messages())
                .with("wait", Math.ceilDiv(queue.waitMicros(), 1_000L))
                .with("before", queue.at())
                .in(queue.cues().stream().map(n -> new CueAt(song.id(), n)).toList())
                .made();
    }
}
