package embrack.app.store.work;

import com.github.kagkarlsson.scheduler.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * The clock of the database, which is the same for all servers: what this machine's own shows does not matter, nor that
 * somebody sets it. Looked at every minute; in between time is counted.
 */
@Component
class SharedClock implements Clock {

    private static final Logger LOG = LoggerFactory.getLogger(SharedClock.class);
    private static final long LOOKS_EVERY_NANOS = Duration.ofMinutes(1).toNanos();

    private final JobMapper mapper;

    /** What it showed, microseconds, and when that was by the counter of this process. */
    private record Look(long micros, long nanos) {}

    private volatile Look last;

    SharedClock(JobMapper mapper) {
        this.mapper = mapper;
        this.last = look();
    }

    private Look look() {
        return new Look(mapper.clock(), System.nanoTime());
    }

    @Override
    public Instant now() {
        if (System.nanoTime() - last.nanos() > LOOKS_EVERY_NANOS) {
            try {
                last = look();
            } catch (DataAccessException e) {
                LOG.debug("the database cannot be asked for the time just now", e);
            }
        }
        Look known = last;
        long since = (System.nanoTime() - known.nanos()) / 1_000;
        return Instant.EPOCH.plus(known.micros() + since, ChronoUnit.MICROS);
    }
}
