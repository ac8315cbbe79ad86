package embrack.app.store;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;

/**
 * Remembers what was worked out last. Whoever asks for something that is being worked out waits for it; whoever asks
 * for anything else waits for nobody.
 *
 * @param <K> what is asked for
 * @param <V> what is worked out
 */
public final class Memo<K, V> {

    private final long most;
    private final ToLongFunction<V> weigher;
    private final Map<K, Entry<V>> kept = new LinkedHashMap<>(16, 0.75f, true);
    private long weight;

    private static final class Entry<V> {
        private final FutureTask<V> task;
        private long weight;

        Entry(Supplier<V> maker) {
            task = new FutureTask<>(maker::get);
        }
    }

    private Memo(long most, ToLongFunction<V> weigher) {
        this.most = most;
        this.weigher = weigher;
    }

    /** Remembers so many, the last asked for. */
    public static <K, V> Memo<K, V> ofCount(int most) {
        return new Memo<>(most, value -> 1);
    }

    /**
     * Remembers the last asked for, as long as they weigh no more together; {@code most} and the weights in the same
     * unit.
     */
    public static <K, V> Memo<K, V> ofWeight(long most, ToLongFunction<V> weigher) {
        return new Memo<>(most, weigher);
    }

    /**
     * What is remembered, or what the maker gives; what the maker throws is thrown to all who wait, and not remembered.
     */
    public V get(K key, Supplier<V> maker) {
        var mine = new Entry<>(maker);
        Entry<V> there;
        synchronized (kept) {
            Entry<V> before = kept.get(key);
            there = before == null ? mine : before;
            if (before == null) {
                kept.put(key, mine);
            }
        }
        if (there == mine) {
            mine.task.run();
            settle(key, mine);
        }
        return value(there.task);
    }

    /** What is remembered; empty when nothing is, or it is still being worked out. */
    public Optional<V> find(K key) {
        synchronized (kept) {
            Entry<V> there = kept.get(key);
            return there != null && there.task.state() == FutureTask.State.SUCCESS
                    ? Optional.of(there.task.resultNow())
                    : Optional.empty();
        }
    }

    private void settle(K key, Entry<V> made) {
        synchronized (kept) {
            if (made.task.state() != FutureTask.State.SUCCESS) {
                kept.remove(key, made);
                return;
            }
            made.weight = weigher.applyAsLong(made.task.resultNow());
            weight += made.weight;
            Iterator<Entry<V>> oldest = kept.values().iterator();
            while (weight > most && oldest.hasNext()) {
                Entry<V> entry = oldest.next();
                if (entry.weight > 0) {
                    weight -= entry.weight;
                    oldest.remove();
                }
            }
        }
    }

    private static <V> V value(FutureTask<V> task) {
        try {
            return task.get();
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException thrown) {
                throw thrown;
            }
            if (e.getCause() instanceof Error thrown) {
                throw thrown;
            }
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while waiting for what another works out", e);
        }
    }
}
