package embrack.core.check.order;

import embrack.core.check.rule.Subject;
import embrack.core.show.Running;
import java.util.Optional;

/** The show that is planned now, by the clock. */
final class Tonight {

    private Tonight() {}

    static Optional<Running> of(Subject subject) {
        return subject.plan()
                .book()
                .tonight()
                .map(show -> Running.of(subject.plan().book(), show));
    }
}
