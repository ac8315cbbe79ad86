package embrack.core.run;

import embrack.core.chart.Aspect;
import embrack.core.plan.Plan;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How the feet did: each press that somebody had to make, and how it was made. What was pressed instead of it counts
 * for the press that waited for somebody then; what was pressed with nothing waiting stands by itself.
 *
 * @param presses in the order in which they were due; those of a passage that was played again come again
 * @param strays presses for which nothing waited
 */
public record Score(List<Scored> presses, List<Stray> strays) {

    public static final Score NOTHING = new Score(List.of(), List.of());

    /** How a press was made. */
    public enum Grade {
        RIGHT,
        EARLY,
        LATE,
        MISSED
    }

    /**
     * What a press is for, and how near to its time it has to be. Common practice, no source: a start that waits for
     * the room is no race, and the order leaves it ten seconds; nor is letting go what goes round; a mute cuts a word
     * off; a light shows the beat.
     */
    public enum Sort {
        START(10_000, 8_000),
        LET_GO(4_000, 8_000),
        MUTE(300, 300),
        LIGHT(200, 200),
        OTHER(400, 400);

        private final int earlyMillis;
        private final int lateMillis;

        Sort(int earlyMillis, int lateMillis) {
            this.earlyMillis = earlyMillis;
            this.lateMillis = lateMillis;
        }

        /** How much before its time is right still, ms. */
        public int earlyMillis() {
            return earlyMillis;
        }

        /** How much after it is right still, ms. */
        public int lateMillis() {
            return lateMillis;
        }

        static Sort of(Plan plan, Footfall foot) {
            if (foot.why() != Footfall.Why.CUE) {
                return START;
            }
            return plan.switches().at(foot.at()).steps(Moment.PRESS).stream()
                    .map(step -> letsGo(plan, step)
                            ? LET_GO
                            : step.action().verb().aspect() == Aspect.MUTED
                                    ? MUTE
                                    : plan.lookOf(step).isPresent() ? LIGHT : OTHER)
                    .min(Comparator.naturalOrder())
                    .orElse(OTHER);
        }

        private static boolean letsGo(Plan plan, Step step) {
            return Leap.of(plan.rig().chart(step.device()), step.action(), true)
                    .filter(Leap.LetGo.class::isInstance)
                    .isPresent();
        }
    }

    /**
     * A press.
     *
     * @param byMicros how much late, microseconds; negative when early; 0 where it was missed
     * @param instead what was pressed while it waited, and was another switch
     */
    public record Scored(Footfall foot, Sort sort, Grade grade, long byMicros, List<Stray> instead) {

        /** Whether something beside it was pressed: the next number on the same board. */
        public boolean isByNeighbour() {
            return instead.stream()
                    .anyMatch(stray -> stray.at().board().equals(foot.at().board())
                            && stray.at().bank() == foot.at().bank()
                            && Math.abs(stray.at().number() - foot.at().number()) == 1);
        }

        /** How bad it was: a miss counts as much as anything, a wrong one nearly, else how far it was off. */
        double badness() {
            double off = Math.abs(byMicros) / 1_000.0 / (byMicros < 0 ? sort.earlyMillis() : sort.lateMillis());
            return grade == Grade.MISSED ? MISSED : Math.min(MISSED, off + (instead.isEmpty() ? 0 : 1));
        }
    }

    private static final double MISSED = 3;

    public Score {
        presses = List.copyOf(presses);
        strays = List.copyOf(strays);
    }

    /** The score of a run so far; what still waits is not in it. */
    public static Score of(Run run) {
        return of(run.night().plan(), run.feet(), run.strays());
    }

    /** The score of some presses, and of what else was pressed meanwhile. */
    static Score of(Plan plan, List<Footfall> feet, List<Stray> strays) {
        List<Stray> left = new ArrayList<>(strays);
        List<Scored> presses = new ArrayList<>();
        for (Footfall foot : feet) {
            if (!foot.isOpen()) {
                Sort sort = Sort.of(plan, foot);
                List<Stray> instead =
                        left.stream().filter(stray -> waited(foot, stray)).toList();
                left.removeAll(instead);
                presses.add(new Scored(foot, sort, grade(foot, sort), foot.lateMicros(), instead));
            }
        }
        presses.sort(Comparator.comparingLong(scored -> scored.foot().due()));
        return new Score(presses, left);
    }

    /** Whether a press waited for somebody when another switch was pressed. */
    private static boolean waited(Footfall foot, Stray stray) {
        long until = foot.pressed() >= 0 ? foot.pressed() : foot.due() + Footfall.LATE_MICROS;
        return stray.when() >= foot.due() - Footfall.EARLY_MICROS && stray.when() <= until;
    }

    private static Grade grade(Footfall foot, Sort sort) {
        if (foot.pressed() < 0) {
            return Grade.MISSED;
        }
        long millis = foot.lateMicros() / 1_000;
        return millis < -sort.earlyMillis() ? Grade.EARLY : millis > sort.lateMillis() ? Grade.LATE : Grade.RIGHT;
    }

    /** The score of what is left where a run goes back, or elsewhere: of what is not in the run that comes of it. */
    public static Score left(Run before, Run after) {
        List<Footfall> feet = new ArrayList<>(before.feet());
        feet.removeAll(after.feet());
        List<Stray> strays = new ArrayList<>(before.strays());
        strays.removeAll(after.strays());
        return of(before.night().plan(), feet, strays);
    }

    /** This, and what came after it. */
    public Score and(Score later) {
        return new Score(
                Stream.concat(presses.stream(), later.presses.stream()).toList(),
                Stream.concat(strays.stream(), later.strays.stream()).toList());
    }

    /** How many were made so. */
    public long count(Grade grade) {
        return presses.stream().filter(scored -> scored.grade() == grade).count();
    }

    /** How many were pressed that should not have been. */
    public int wrong() {
        return strays.size()
                + presses.stream().mapToInt(scored -> scored.instead().size()).sum();
    }

    /** The switches that went worst, on the whole, the worst first; those that went right are not among them. */
    public List<SwitchAt> hardest(int most) {
        Map<SwitchAt, Double> badness = new LinkedHashMap<>();
        presses.stream()
                .filter(scored ->
                        scored.grade() != Grade.RIGHT || !scored.instead().isEmpty())
                .forEach(scored -> badness.merge(scored.foot().at(), scored.badness(), Double::sum));
        return badness.entrySet().stream()
                .sorted(Map.Entry.<SwitchAt, Double>comparingByValue().reversed())
                .limit(most)
                .map(Map.Entry::getKey)
                .toList();
    }

    /** The worst press of a switch; empty where it was never due. */
    public Optional<Scored> worst(SwitchAt at) {
        return presses.stream()
                .filter(scored -> scored.foot().at().equals(at))
                .max(Comparator.comparingDouble(Scored::badness));
    }
}
