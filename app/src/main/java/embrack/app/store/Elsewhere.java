package embrack.app.store;

import java.util.concurrent.atomic.AtomicInteger;

/** What other servers kept of something that this one has in memory, so that it is read again before it is used. */
public final class Elsewhere {

    private final AtomicInteger told = new AtomicInteger();
    private int read;

    /** Another server kept something. */
    public void tell() {
        told.incrementAndGet();
    }

    /**
     * Reads what was kept since it was read last; where nothing was, nothing is done. One at a time.
     *
     * @return whether it was read; what cannot be read now is read the next time
     */
    public boolean catchUp(Runnable reading) {
        int all = told.get();
        if (read == all) {
            return false;
        }
        reading.run();
        read = all;
        return true;
    }
}
