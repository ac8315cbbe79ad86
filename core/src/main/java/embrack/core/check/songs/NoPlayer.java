package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.name.Words;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.SongProof;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Songs have cues and nothing in the rig plays them. */
final class NoPlayer implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("songs.no-player", "Nothing plays the songs");
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
                : Stream.of(new Finding(
                        info(),
                        Severity.STOPS,
                        Words.list(silent.stream().map(Song::title).toList()),
                        "No track player is in the rig.",
                        "Their cues are sent by nobody.",
                        "Add a track player in Gear.",
                        List.of(),
                        Optional.empty(),
                        silent.stream().map(song -> CueAt.whole(song.id())).toList()));
    }
}
