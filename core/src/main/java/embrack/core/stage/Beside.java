package embrack.core.stage;

import embrack.core.light.Chase;
import embrack.core.light.Pace;
import embrack.core.music.Position;
import embrack.core.music.Tempo;
import embrack.core.music.TempoMap;
import embrack.core.plan.Plan;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import java.util.List;
import java.util.Optional;

/**
 * A chase beside the song in which it runs.
 *
 * @param drift against the bar in which it begins
 */
public record Beside(Song song, Chase.Drift drift) {

    /** Every song that runs a chase by time, once, at the first cue that does; the beat itself stays in step. */
    public static List<Beside> of(Plan plan, Chase chase) {
        return chase.pace() instanceof Pace.OnBeat || chase.pace() instanceof Pace.BySound
                ? List.of()
                : plan.book().songs().stream()
                        .flatMap(song -> song.cues().stream()
                                .filter(cue -> cue.steps().stream()
                                        .anyMatch(step -> plan.chaseOf(step)
                                                .filter(chase::equals)
                                                .isPresent()))
                                .findFirst()
                                .map(cue -> new Beside(song, chase.beside(barMicros(song, cue), tempo(song, cue))))
                                .stream())
                        .toList();
    }

    /** The tempo where a cue lies; at the start for what the clock does not know. */
    private static Tempo tempo(Song song, Cue cue) {
        return song.form().tempoMap().tempo(cue.at().tick(song.form()).orElse(0L));
    }

    /** How long the bar lasts in which a cue lies, microseconds; the first for what the clock does not know. */
    private static long barMicros(Song song, Cue cue) {
        TempoMap tempos = song.form().tempoMap();
        Optional<Long> tick = cue.at().tick(song.form());
        int bar = Math.max(1, tick.map(tempos::position).map(Position::bar).orElse(1));
        return tempos.micros(new Position(bar + 1, 0)) - tempos.micros(new Position(bar, 0));
    }
}
