package embrack.core.stage;

import embrack.core.chart.Meaning;
import embrack.core.chart.Verb;
import embrack.core.light.Look;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.show.When;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What is seen while a song goes, as its cues have it: a song begins without a look, blackout is off. */
public final class Scenery {

    private record Timed(long micros, List<Step> steps) {}

    private Scenery() {}

    /** What is seen, from change to change. What a cue does at once counts as one change. */
    public static List<Sight> of(Plan plan, Song song) {
        List<Sight> sights = new ArrayList<>();
        Sight now = new Sight(0, Optional.empty(), false);
        for (Timed cue : cues(plan, song)) {
            Sight next = now;
            for (Step step : cue.steps()) {
                next = after(plan, step, next);
            }
            if (!next.equals(now)) {
                now = new Sight(cue.micros(), next.look(), next.isBlackedOut());
                sights.add(now);
            }
        }
        return sights;
    }

    private static List<Timed> cues(Plan plan, Song song) {
        return song.cues().stream()
                .flatMap(cue -> micros(song, cue)
                        .map(micros -> new Timed(
                                micros,
                                cue.foot()
                                        .map(at -> plan.switches().at(at).steps())
                                        .orElse(cue.steps())))
                        .stream())
                .sorted(Comparator.comparingLong(Timed::micros))
                .toList();
    }

    private static Optional<Long> micros(Song song, Cue cue) {
        return cue.at() instanceof Anchor.Automatic automatic
                ? Stream.of(When.LOAD, When.PLAY)
                        .filter(automatic.when()::equals)
                        .map(when -> 0L)
                        .findFirst()
                : cue.at().micros(song.form());
    }

    private static Sight after(Plan plan, Step step, Sight now) {
        boolean isBlackout =
                plan.rig().chart(step.device()).isMeant(step.action().part(), Meaning.BLACKOUT);
        if (isBlackout) {
            Verb verb = step.action().verb();
            boolean isOn = verb == Verb.ON || verb == Verb.TOGGLE && !now.isBlackedOut();
            return new Sight(now.micros(), now.look(), isOn);
        }
        Optional<Look> shown = plan.lookOf(step);
        return shown.isPresent() ? new Sight(now.micros(), shown, now.isBlackedOut()) : now;
    }
}
