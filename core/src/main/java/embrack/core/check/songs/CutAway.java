package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.check.songs.CueWords.Sung;
import embrack.core.show.Song;
import java.util.stream.Stream;

/** A cue lies in what is trimmed away, or behind the end of its song. */
final class CutAway implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "cut-away");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return CueWords.cues(subject)
                .filter(sung -> sung.proof()
                        .micros()
                        .filter(at -> at < sung.song().trims().startMicros()
                                || at > sung.song().endMicros())
                        .isPresent())
                .map(this::finding);
    }

    private Finding finding(Sung sung) {
        Song song = sung.song();
        boolean before = sung.proof().micros().orElseThrow() < song.trims().startMicros();
        return found(Severity.STOPS)
                .with("at", sung.moment())
                .cause(before ? "before" : "behind")
                .with("edge", before ? song.trims().startMicros() : song.endMicros())
                .in(sung.at())
                .made();
    }
}
