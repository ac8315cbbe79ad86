package embrack.core.run;

import java.util.Collection;
import java.util.List;
import java.util.PriorityQueue;

/** What comes later in a run while it goes on. */
final class Agenda {

    private final PriorityQueue<Due> due;
    private long count;

    /** With what was to come by then, of so many that ever were. */
    Agenda(Collection<Due> due, long count) {
        this.due = new PriorityQueue<>(due);
        this.count = count;
    }

    void add(long at, Due.Deed deed) {
        due.add(new Due(at, count++, deed));
    }

    /** When the next comes, microseconds of the run; {@link Long#MAX_VALUE} where nothing does. */
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
