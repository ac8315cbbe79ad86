package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.CueEdit;
import embrack.core.edit.Edit;
import embrack.core.edit.InTurn;
import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import java.util.List;
import java.util.stream.Stream;

/**
 * A cue is tied to the clock at what was a beat at the tempo of the recording, and is none at the tempo that the song
 * is played at now.
 */
final class LeftByTempo implements Rule {

    /** How near a beat is meant, 10 ms. Common practice, no source. */
    private static final long NEAR_MICROS = 10_000;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "left-by-tempo");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().book().songs().stream()
                .filter(song -> song.stretchPercent() != 0)
                .flatMap(song -> {
                    List<Cue> left = song.cues().stream()
                            .filter(cue -> isLeft(song, cue))
                            .toList();
                    return left.isEmpty() ? Stream.empty() : Stream.of(finding(song, left));
                });
    }

    /** Whether a cue was left on the clock when its song got another tempo. */
    static boolean isLeft(Song song, Cue cue) {
        return song.stretchPercent() != 0
                && cue.at() instanceof Anchor.OnClock at
                && isOnBeat(song.form().tempoMap(), inMusic(song, at.micros()))
                && !isOnBeat(song.form().tempoMap(), at.micros());
    }

    /** When something comes now that came so late in the recording: as it is played faster, all comes earlier. */
    private static long inMusic(Song song, long recordedMicros) {
        return Math.round(recordedMicros / (1 + song.stretchPercent() / 100));
    }

    private static boolean isOnBeat(TempoMap map, long micros) {
        return Math.abs(map.micros(beat(map, micros)) - micros) <= NEAR_MICROS;
    }

    /** The quarter nearest to a time, in ticks. */
    private static long beat(TempoMap map, long micros) {
        return Math.round(map.exactTickAt(micros) / Position.TICKS_PER_QUARTER) * Position.TICKS_PER_QUARTER;
    }

    private Finding finding(Song song, List<Cue> left) {
        List<Edit> edits = left.stream()
                .<Edit>map(cue -> new CueEdit.PlaceCue(song.id(), cue.number(), place(song, cue)))
                .toList();
        return found(Severity.LOOK)
                .with("song", song)
                .with("count", left.size())
                .with("percent", Math.round(Math.abs(song.stretchPercent()) * 10))
                .word("way", song.stretchPercent() > 0 ? "faster" : "slower")
                .mend("tie", new InTurn(edits))
                .in(left.stream().map(cue -> new CueAt(song.id(), cue.number())).toList())
                .made();
    }

    /** Where in the music a cue was. */
    private static String place(Song song, Cue cue) {
        TempoMap map = song.form().tempoMap();
        return map.text(map.position(beat(map, inMusic(song, ((Anchor.OnClock) cue.at()).micros()))));
    }
}
