package embrack.core.check;

import embrack.core.check.rule.Severity;
import java.util.Comparator;

/**
 * How well a plan is: how many findings of each severity it has. The healthier comes first: what stops the show counts
 * before what is to be looked at, and that before notes.
 */
public record Health(int stops, int look, int notes) implements Comparable<Health> {

    private static final Comparator<Health> ORDER =
            Comparator.comparingInt(Health::stops).thenComparing(Health::look).thenComparing(Health::notes);

    /** The health of a plan by its report. */
    public static Health of(Report report) {
        return new Health(report.count(Severity.STOPS), report.count(Severity.LOOK), report.count(Severity.NOTE));
    }

    @Override
    public int compareTo(Health other) {
        return ORDER.compare(this, other);
    }
}
