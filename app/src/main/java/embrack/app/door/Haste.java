package embrack.app.door;

import embrack.app.store.crew.AccountId;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.LongSupplier;

/**
 * How much one person sends, so that nobody takes a server from the others: a bucket of {@value #MOST} forms that fills
 * by {@value #EACH_SECOND} a second. It is counted at each server.
 *
 * <p>Source: the token bucket, common practice; its size is ours.
 */
final class Haste {

    static final int MOST = 1_500;
    static final int EACH_SECOND = 50;

    private static final double NANOS = 1e9;

    private final Map<AccountId, Bucket> buckets = new ConcurrentHashMap<>();
    private final LongSupplier nanos;

    private record Bucket(double left, long at) {}

    Haste(LongSupplier nanos) {
        this.nanos = nanos;
    }

    /** Whether somebody may send one more just now. */
    boolean lets(AccountId account) {
        long now = nanos.getAsLong();
        Bucket after = buckets.merge(
                account,
                new Bucket(MOST - 1, now),
                (before, first) -> new Bucket(
                        Math.min(MOST, Math.max(before.left(), 0) + (now - before.at()) / NANOS * EACH_SECOND) - 1,
                        now));
        return after.left() >= 0;
    }
}
