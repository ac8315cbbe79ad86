package embrack.core.stage;

import embrack.core.light.Chase;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.LookId;
import embrack.core.light.Output;
import embrack.core.light.Pace;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How often the picture flashes. A flash is a pair of changes there and back, of a tenth of full light or more, over a
 * quarter of the lamps or more: the rule for screens (WCAG 2.2, general flash, success criterion 2.3.1), taken over for
 * a stage, which is common practice and no standard.
 *
 * @param rate flashes a second
 * @param fromMicros when it begins, microseconds from bar 1; 0 for a look that does so for as long as it is shown
 * @param toMicros when it ends
 */
public record Flashes(double rate, long fromMicros, long toMicros) {

    /** More than so many a second can hurt people who are sensitive to them (WCAG 2.3.1). */
    public static final int MOST = 3;

    private static final double A_TENTH = 0.1;
    private static final double A_QUARTER = 0.25;
    private static final long SECOND = 1_000_000;

    /** What goes on longer than this without flashing too often goes on so. */
    public static final long LONG_ENOUGH_MICROS = 60_000_000;

    /** So many rounds of a chase show whether it goes on flashing: eight changes of the shortest. */
    private static final int ROUNDS = 8;

    /** What a look does by itself: its strobes, where a quarter of the lamps flash too often. */
    public static Optional<Flashes> of(Lights lights, Look look) {
        List<Output> shown = lights.shown(look);
        List<Double> fast =
                shown.stream().map(Output::flashes).filter(rate -> rate > MOST).toList();
        return fast.isEmpty() || fast.size() < A_QUARTER * shown.size()
                ? Optional.empty()
                : Optional.of(new Flashes(fast.stream().max(Double::compare).orElseThrow(), 0, 0));
    }

    /** What a chase does while it runs. */
    public static Optional<Flashes> of(Lights lights, Chase chase) {
        return of(
                lights,
                List.of(new Sight(0, Optional.empty(), Optional.of(Running.from(0, chase, Pace.ANY_TEMPO)), false)),
                ROUNDS * chase.roundMicros(Pace.ANY_TEMPO));
    }

    /**
     * The run in which the picture flashes most often, where it does so too often: more than three pairs of changes lie
     * in some second of it.
     *
     * @param until how long the last of it is shown, microseconds
     */
    public static Optional<Flashes> of(Lights lights, List<Sight> sights, long until) {
        List<Long> turns = turns(lights, Scenery.byStep(lights, sights, until));
        Optional<Flashes> worst = Optional.empty();
        int from = 0;
        while (from < turns.size()) {
            int to = endOfSecond(turns, from);
            if (isTooMany(from, to)) {
                double rate = rate(turns, from, to);
                for (int next = from + 1; next <= to; next++) {
                    int end = endOfSecond(turns, next);
                    if (isTooMany(next, end)) {
                        to = end;
                        rate = Math.max(rate, rate(turns, next, end));
                    }
                }
                double most = rate;
                if (worst.filter(other -> other.rate >= most).isEmpty()) {
                    worst = Optional.of(new Flashes(most, turns.get(from), turns.get(to)));
                }
            }
            from = isTooMany(from, to) ? to + 1 : from + 1;
        }
        return worst;
    }

    /** The last change that lies in the second which one begins. */
    private static int endOfSecond(List<Long> turns, int from) {
        int to = from;
        while (to + 1 < turns.size() && turns.get(to + 1) - turns.get(from) < SECOND) {
            to++;
        }
        return to;
    }

    private static boolean isTooMany(int from, int to) {
        return to - from + 1 > 2 * MOST;
    }

    private static double rate(List<Long> turns, int from, int to) {
        return (to - from) * (double) SECOND / (turns.get(to) - turns.get(from)) / 2;
    }

    /** All that decides how bright the lamps are. */
    private record Seen(Optional<LookId> look, boolean isBlackedOut) {}

    /** When the picture changes, each time the other way than before. */
    private static List<Long> turns(Lights lights, List<Sight> sights) {
        List<Long> turns = new ArrayList<>();
        int way = 0;
        List<Double> before = brightness(lights, Optional.empty());
        Map<Seen, List<Double>> known = new HashMap<>();
        for (Sight sight : sights) {
            List<Double> now = known.computeIfAbsent(
                    new Seen(sight.look().map(Look::id), sight.isBlackedOut()),
                    seen -> brightness(lights, Optional.of(sight)));
            int turned = way(before, now);
            if (turned != 0 && turned != way) {
                turns.add(sight.micros());
                way = turned;
            }
            before = turned == 0 ? before : now;
        }
        return turns;
    }

    /** 1 where a quarter of the lamps become brighter, -1 darker, 0 neither. */
    private static int way(List<Double> before, List<Double> now) {
        long up = 0;
        long down = 0;
        for (int i = 0; i < now.size(); i++) {
            double change = now.get(i) - before.get(i);
            up += change >= A_TENTH ? 1 : 0;
            down += change <= -A_TENTH ? 1 : 0;
        }
        double needed = A_QUARTER * now.size();
        return up >= needed && up >= down && up > 0 ? 1 : down >= needed && down > 0 ? -1 : 0;
    }

    /** How bright each lamp is; where none hangs or no look is known, all of it is one lamp. */
    private static List<Double> brightness(Lights lights, Optional<Sight> sight) {
        boolean isDark = sight.filter(Sight::isBlackedOut).isPresent();
        if (lights.fixtures().isEmpty()) {
            return List.of(isDark ? 0.0 : 1.0);
        }
        return sight.flatMap(Sight::look)
                .map(look -> lights.shown(look).stream()
                        .map(output -> isDark ? 0 : output.light().y())
                        .toList())
                .orElseGet(() -> lights.fixtures().stream()
                        .map(fixture -> isDark ? 0.0 : 1.0)
                        .toList());
    }
}
