package embrack.app.store.work;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntUnaryOperator;
import org.springframework.stereotype.Component;

/** Work that does what a test says; known at every server of the tests. */
@Component
final class Bench implements Labour {

    static final String SORT = "work of tests";

    /** What each part does, by the wish of its job: given its number, it answers what comes of it. */
    static final Map<String, IntUnaryOperator> DOES = new ConcurrentHashMap<>();

    /** How often parts were begun, by the wish of their job. */
    static final Map<String, AtomicInteger> BEGUN = new ConcurrentHashMap<>();

    @Override
    public String sort() {
        return SORT;
    }

    @Override
    public String part(Job job, int part) {
        BEGUN.computeIfAbsent(job.wish(), wish -> new AtomicInteger()).incrementAndGet();
        return String.valueOf(DOES.get(job.wish()).applyAsInt(part));
    }
}
