package embrack.app.store.work;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.jdbc.PostgreSqlJdbcCustomization;
import com.github.kagkarlsson.scheduler.logging.LogLevel;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.ExecutionComplete;
import com.github.kagkarlsson.scheduler.task.ExecutionOperations;
import com.github.kagkarlsson.scheduler.task.SchedulableInstance;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import embrack.app.store.ThisServer;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.function.Function;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * Does parts of long work at this server, one at a time, behind all that people wait for. A part of a server that says
 * nothing any more is done by another one; one that fails is tried again twice, then its job is ended.
 */
@Component
class Workshop {

    static final String TABLE = "job_task";

    private static final Logger LOG = LoggerFactory.getLogger(Workshop.class);
    private static final String TASK = "part";
    private static final Duration LOOKS_EVERY = Duration.ofMillis(500);

    /** A server that does a part says so as often; after four times without a word it is taken for ended. */
    private static final Duration SAYS_EVERY = Duration.ofSeconds(2);

    private static final int MISSED = 4;

    /**
     * Parts are locked by one statement and taken by another. A single one, with the limit inside, is planned now and
     * then so that the limit is asked for again for each row, and takes all there are: they would wait here, be taken
     * for dead and be done twice.
     */
    private static final boolean LOCKS_FIRST = true;

    private static final Duration PAUSE = Duration.ofSeconds(2);
    private static final int MOST_TRIES = 3;

    /** So long it is waited for the part in hand when the server stops. */
    private static final Duration LAST_WAIT = Duration.ofSeconds(5);

    private final JobMapper mapper;
    private final ThisServer server;
    private final SharedClock clock;
    private final Map<String, Labour> labours;
    private final Scheduler scheduler;

    Workshop(JobMapper mapper, ThisServer server, SharedClock clock, List<Labour> labours, DataSource database) {
        this.mapper = mapper;
        this.server = server;
        this.clock = clock;
        this.labours = labours.stream().collect(Collectors.toMap(Labour::sort, Function.identity()));
        this.scheduler = Scheduler.create(database, part())
                .tableName(TABLE)
                .clock(clock)
                .schedulerName(new SchedulerName.Fixed(server.id()))
                .enablePriority()
                .threads(1)
                .executorService(Executors.newSingleThreadExecutor(Thread.ofPlatform()
                        .daemon()
                        .name("long-work")
                        .priority(Thread.MIN_PRIORITY)
                        .factory()))
                .pollingInterval(LOOKS_EVERY)
                .pollUsingLockAndFetch(0.5, 1.0)
                .jdbcCustomization(new PostgreSqlJdbcCustomization(LOCKS_FIRST, false))
                .heartbeatInterval(SAYS_EVERY)
                .missedHeartbeatsLimit(MISSED)
                .shutdownMaxWait(LAST_WAIT)
                .failureLogging(LogLevel.DEBUG, true)
                .build();
    }

    /**
     * A part as the library knows it. Whenever it is found it is due: no clock decides that. Of some jobs the first
     * parts go before the later ones.
     */
    static SchedulableInstance<Void> task(long job, int part) {
        return new TaskInstance.Builder<Void>(TASK, job + "/" + part)
                .priority(-part)
                .scheduledTo(Instant.EPOCH);
    }

    private CustomTask<Void> part() {
        return Tasks.custom(TASK, Void.class)
                .onFailure(this::failed)
                .onDeadExecution((complete, operations) -> operations.reschedule(complete, Instant.EPOCH))
                .execute((instance, context) -> {
                    String[] id = instance.getId().split("/");
                    work(Long.parseLong(id[0]), Integer.parseInt(id[1]));
                    return new CompletionHandler.OnCompleteRemove<>();
                });
    }

    private void work(long id, int part) {
        Job job = mapper.find(id).map(LongWork::job).orElse(null);
        if (job == null || job.isEnded()) {
            return;
        }
        Labour labour = labours.get(job.sort());
        if (labour == null) {
            throw new IllegalStateException("nobody here can do " + job.sort());
        }
        mapper.add(id, part, labour.part(job, part), server.id());
    }

    private void failed(ExecutionComplete complete, ExecutionOperations<Void> operations) {
        String part = complete.getExecution().getId();
        Throwable cause = complete.getCause().orElse(null);
        boolean isOurs = !(cause instanceof DataAccessException);
        if (isOurs && complete.getExecution().consecutiveFailures + 1 >= MOST_TRIES) {
            LOG.error("part {} of long work cannot be done; its job is ended", part, cause);
            mapper.fail(Long.parseLong(part.split("/")[0]));
            operations.remove();
        } else {
            LOG.warn("part {} of long work is tried again", part, cause);
            operations.reschedule(complete, clock.now().plus(PAUSE));
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        scheduler.start();
    }

    @EventListener(ContextClosedEvent.class)
    void closing() {
        scheduler.stop();
    }
}
