package embrack.core.stage;

import embrack.core.light.Look;
import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.plan.Plan;
import embrack.core.show.Song;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A look that comes in slowly while a song goes.
 *
 * @param from where it begins
 * @param near the quarter that is nearest to where all of it is there
 * @param micros how much later than that, or earlier below 0, microseconds
 */
public record Coming(Song song, Position from, Position near, long micros) {

    /** Every song that shows a look which comes in slowly, where it does so first. */
    public static List<Coming> of(Plan plan, Look look) {
        return look.fadeMillis() == 0
                ? List.of()
                : plan.book().songs().stream()
                        .flatMap(song -> first(plan, song, look).stream())
                        .toList();
    }

    private static Optional<Coming> first(Plan plan, Song song, Look look) {
        List<Optional<Sight>> before = new ArrayList<>(List.of(Optional.empty()));
        List<Sight> sights = Scenery.of(plan, song);
        sights.forEach(sight -> before.add(Optional.of(sight)));
        for (int i = 0; i < sights.size(); i++) {
            Sight sight = sights.get(i);
            if (sight.look().filter(look::equals).isPresent() && sight.fadeMicros(before.get(i)) > 0) {
                return Optional.of(of(song, sight, sight.fadeMicros(before.get(i))));
            }
        }
        return Optional.empty();
    }

    private static Coming of(Song song, Sight sight, long fade) {
        TempoMap tempos = song.form().tempoMap();
        long end = sight.micros() + fade;
        long beat = tempos.snap(end, Position.TICKS_PER_QUARTER);
        return new Coming(
                song, tempos.position(tempos.tickAt(sight.micros())), tempos.position(beat), end - tempos.micros(beat));
    }
}
