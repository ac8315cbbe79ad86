package embrack.app.frame;

import embrack.app.store.Memo;
import java.util.Optional;
import java.util.UUID;

/**
 * What was read from a file and waits until somebody says whether it is kept; the last few of all readers. It does not
 * outlive the server: what is no longer there is read again.
 *
 * @param <T> what was read
 */
public final class Shelf<T> {

    private static final int MOST = 16;

    private final Memo<String, T> waiting = Memo.ofCount(MOST);

    /** Puts it there; gives the mark by which it is found. */
    public String put(T read) {
        String mark = UUID.randomUUID().toString();
        waiting.get(mark, () -> read);
        return mark;
    }

    /** What waits under a mark; empty when it is gone. */
    public Optional<T> find(String mark) {
        return waiting.find(mark);
    }
}
