package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.SongProof;
import java.util.List;
import java.util.stream.Stream;

/** Songs have cues and nothing in the rig plays them. */
final class NoPlayer implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "no-player");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        List<Song> silent = subject.book().songs().stream()
                .filter(proof -> proof.player().isEmpty())
                .map(SongProof::song)
                .filter(song -> !song.cues().isEmpty())
                .toList();
        return silent.isEmpty()
                ? Stream.empty()
                : Stream.of(found(Severity.STOPS)
                        .with("songs", silent)
                        .in(silent.stream().map(song -> CueAt.whole(song.id())).toList())
                        .made());
    }
}
