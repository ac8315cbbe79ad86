package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.midi.Wire;
import embrack.core.music.Clock;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.Queue;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Too many messages on one cable at one moment: the last waits so long that it is noticed. */
final class WaitsInQueue implements Rule {

    /** A wait that is felt, 10 ms. Common practice, no source. */
    static final long FELT_MICROS = 10_000;

    @Override
    public RuleInfo info() {
        return new RuleInfo("songs.queue", "Cues wait for each other");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().songs().stream()
                .flatMap(proof -> proof.queues().stream()
                        .filter(queue -> queue.waitMicros() > FELT_MICROS)
                        .map(queue -> finding(subject, proof.song(), queue)));
    }

    private Finding finding(Subject subject, Song song, Queue queue) {
        return new Finding(
                info(),
                Severity.LOOK,
                "%s, %s".formatted(song.title(), Clock.text(queue.micros())),
                "%d messages at one moment; the last waits %s before %s."
                        .formatted(
                                queue.messages(),
                                Wire.millis(queue.waitMicros()),
                                subject.plan().rig().words(queue.at())),
                "On a 5-pin cable one byte takes 0.320 ms (MIDI 1.0), and one message goes behind the other.",
                "Send some of it a beat earlier, or recall it with one message.",
                List.of(),
                Optional.empty(),
                queue.cues().stream().map(n -> new CueAt(song.id(), n)).toList());
    }
}
