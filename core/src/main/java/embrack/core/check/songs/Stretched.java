package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** A recording is played much faster or slower than it was made. */
final class Stretched implements Rule {

    /** What time-stretching does without being heard, 8 percent. Common practice, no source. */
    static final double HEARD_PERCENT = 8;

    @Override
    public RuleInfo info() {
        return new RuleInfo("songs.stretched", "Stretched so that it is heard");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().book().songs().stream()
                .filter(song -> Math.abs(song.stretchPercent()) > HEARD_PERCENT)
                .map(this::finding);
    }

    private Finding finding(Song song) {
        return new Finding(
                info(),
                Severity.LOOK,
                song.title().text(),
                String.format(
                        Locale.ROOT,
                        "It is played %.1f %% %s than it was recorded.",
                        Math.abs(song.stretchPercent()),
                        song.stretchPercent() > 0 ? "faster" : "slower"),
                "Drums and voices sound stretched beyond about 8 % (common practice, no source).",
                "Have the tracks made anew at this tempo, or come closer to theirs.",
                List.of(),
                Optional.empty(),
                List.of(CueAt.whole(song.id())));
    }
}
