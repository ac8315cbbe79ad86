package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.songs.CueWords.Sung;
import embrack.core.music.Clock;
import embrack.core.show.Song;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A cue lies in what is trimmed away, or behind the end of its song. */
final class CutAway implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("songs.cut-away", "A cue is cut away");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return CueWords.cues(subject)
                .filter(sung -> sung.proof()
                        .micros()
                        .filter(at -> at < sung.song().trims().start()
                                || at > sung.song().end())
                        .isPresent())
                .map(this::finding);
    }

    private Finding finding(Sung sung) {
        Song song = sung.song();
        boolean before = sung.proof().micros().orElseThrow() < song.trims().start();
        return new Finding(
                info(),
                Severity.STOPS,
                sung.where(),
                before
                        ? "The song is played from %s on; this cue lies before."
                                .formatted(Clock.text(song.trims().start()))
                        : "The song ends at %s; this cue lies behind.".formatted(Clock.text(song.end())),
                "It is never sent.",
                before ? "Move it behind the trim, or send it on play." : "Move it before the end, or send it on stop.",
                List.of(),
                Optional.empty(),
                sung.at());
    }
}
