package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import java.util.List;
import java.util.stream.Stream;

/** A recording is played much faster or slower than it was made. */
final class Stretched implements Rule {

    /** What time-stretching does without being heard, 8 percent. Common practice, no source. */
    static final double HEARD_PERCENT = 8;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "stretched");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().book().songs().stream()
                .filter(song -> Math.abs(song.stretchPercent()) > HEARD_PERCENT)
                .map(this::finding);
    }

    private Finding finding(Song song) {
        return found(Severity.LOOK)
                .with("song", song)
                .with("percent", Math.round(Math.abs(song.stretchPercent()) * 10))
                .word("way", song.stretchPercent() > 0 ? "faster" : "slower")
                .in(List.of(CueAt.whole(song.id())))
                .made();
    }
}
