package embrack.core.run;

import java.util.Collection;
import java.util.List;
import java.util.PriorityQueue;

/** How late it is in a run while it goes on, and what comes later. Times are microseconds of the run. */
final class Agenda {

    private final PriorityQueue<Due> due;
    private long count;
    private long now;

    /** With what was to come by then, of so many that ever were. */
    Agenda(long now, Collection<Due> due, long count) {
        this.now = now;
        this.due = new PriorityQueue<>(due);
        this.count = count;
    }

    long now() {
        return now;
    }

    /** It is so late by now. */
    void goOn(long at) {
        now = at;
    }

    void add(long at, Due.Deed deed) {
        due.add(new Due(at, count++, deed));
    }

    /** Something comes so many microseconds from now. */
    void in(long micros, Due.Deed deed) {
        add(now + micros, deed);
    }

    /** When the next comes; {@link Long#MAX_VALUE} where nothing does. */
    long next() {
        return due.isEmpty() ? Long.MAX_VALUE : due.element().at();
    }

    /** Takes out the next. */
    Due.Deed take() {
        return due.remove().deed();
    }

    List<Due> all() {
        return due.stream().sorted().toList();
    }

    long count() {
        return count;
    }
}
