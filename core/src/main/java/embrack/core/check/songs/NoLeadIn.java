package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.music.Metre;
import embrack.core.offer.Freedom;
import embrack.core.plan.Plan;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A song can be jumped to and counts off before anybody is ready. */
final class NoLeadIn implements Rule {

    /** What a band needs between a jump and the count, two seconds. Common practice, no source. */
    static final long NEEDED_MICROS = 2_000_000;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "no-lead-in");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().book().songs().stream().flatMap(song -> finding(subject.plan(), song).stream());
    }

    /** How long the lead-in of a song lasts, at its first tempo and metre, microseconds. */
    static long leadIn(Song song) {
        Metre metre = song.form().tempoMap().metre(1);
        return Math.round(song.leadInBars()
                * metre.beats()
                * song.form().tempoMap().tempo(0).microsPerQuarter()
                * 4
                / metre.unit());
    }

    private Optional<Finding> finding(Plan plan, Song song) {
        long time = leadIn(song);
        if (time >= NEEDED_MICROS) {
            return Optional.empty();
        }
        return Freedom.of(plan, song).stream()
                .filter(freedom -> freedom.kind() == Freedom.Kind.JUMP && freedom.isOnASwitch())
                .findFirst()
                .map(jump -> found(Severity.LOOK)
                        .about(jump.switches())
                        .with("song", song)
                        .with("after", time)
                        .in(List.of(CueAt.whole(song.id())))
                        .made());
    }
}
