package embrack.app.store;

import embrack.app.store.crew.DoorsMoved;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.Properties;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * Other servers on the same database: they are told what happens here, and what happens there is published here as if
 * it had. What is told stands in a table; the notice only says that there is something to read, so that one that is
 * lost loses nothing: the table is read every few seconds, and after each trouble from where reading ended.
 */
@Component
class Neighbours {

    private static final Logger LOG = LoggerFactory.getLogger(Neighbours.class);
    private static final Duration LOOKS_EVERY = Duration.ofSeconds(2);
    private static final Duration PAUSE = Duration.ofSeconds(1);
    private static final int FORGETS_EVERY = 300;

    private final ThisServer server;
    private final ThreadLocal<Boolean> relaying = ThreadLocal.withInitial(() -> false);
    private final NewsMapper mapper;
    private final ApplicationEventPublisher events;
    private final String url;
    private final Properties how = new Properties();
    private volatile boolean closed;
    private @Nullable Connection listening;

    Neighbours(
            ThisServer server,
            NewsMapper mapper,
            ApplicationEventPublisher events,
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password) {
        this.server = server;
        this.mapper = mapper;
        this.events = events;
        this.url = url;
        how.setProperty("user", user);
        how.setProperty("password", password);
        how.setProperty("ApplicationName", "embrack news");
        how.setProperty("connectTimeout", "5");
        how.setProperty("tcpKeepAlive", "true");
    }

    @EventListener
    void told(RigChanged changed) {
        tell("rig-changed", changed.rig().number(), changed.revision());
    }

    @EventListener
    void told(RigDeleted deleted) {
        tell("rig-deleted", deleted.rig().number(), null);
    }

    @EventListener
    void told(RunWanted wanted) {
        tell("run-wanted", wanted.rig().number(), null);
    }

    @EventListener
    void told(LineKept kept) {
        tell("line-kept", kept.rig().number(), null);
    }

    @EventListener
    void told(DoorsMoved doors) {
        tell("doors-moved", null, null);
    }

    private void tell(String sort, @Nullable Long rig, @Nullable Integer number) {
        if (!relaying.get()) {
            mapper.tell(server.id(), sort, rig, number);
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        long last = mapper.last();
        Thread.ofPlatform().daemon().name("news").start(() -> listen(last));
    }

    @EventListener(ContextClosedEvent.class)
    void closing() {
        closed = true;
        letGo();
    }

    private void listen(long from) {
        long last = from;
        for (int round = 1; !closed; round++) {
            try {
                connection().getNotifications((int) LOOKS_EVERY.toMillis());
                for (List<NewsMapper.Row> rows = mapper.after(last); !rows.isEmpty(); rows = mapper.after(last)) {
                    rows.stream()
                            .filter(row -> !row.server().equals(server.id()))
                            .forEach(this::relay);
                    last = rows.getLast().id();
                }
                if (round % FORGETS_EVERY == 0) {
                    mapper.forget();
                }
            } catch (SQLException | DataAccessException e) {
                if (!closed) {
                    LOG.debug("what other servers tell cannot be heard just now", e);
                    letGo();
                    pause();
                }
            }
        }
    }

    private void relay(NewsMapper.Row row) {
        relaying.set(true);
        try {
            events.publishEvent(
                    switch (row.sort()) {
                        case "rig-changed" -> new RigChanged(rig(row), Objects.requireNonNull(row.number()));
                        case "run-wanted" -> new RunWanted(rig(row));
                        case "line-kept" -> new LineKeptElsewhere(rig(row));
                        case "rig-deleted" -> new RigDeleted(rig(row));
                        default -> new DoorsMoved();
                    });
        } catch (RuntimeException e) {
            LOG.error("what another server told was not done: {}", row, e);
        } finally {
            relaying.set(false);
        }
    }

    private static RigId rig(NewsMapper.Row row) {
        return new RigId(Objects.requireNonNull(row.rig()));
    }

    private synchronized PGConnection connection() throws SQLException {
        if (listening == null) {
            Connection made = DriverManager.getConnection(url, how);
            try (Statement statement = made.createStatement()) {
                statement.execute("listen news");
            }
            listening = made;
        }
        return listening.unwrap(PGConnection.class);
    }

    private synchronized void letGo() {
        try {
            if (listening != null) {
                listening.close();
            }
        } catch (SQLException e) {
            LOG.debug("it was gone already", e);
        }
        listening = null;
    }

    private static void pause() {
        try {
            Thread.sleep(PAUSE);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
