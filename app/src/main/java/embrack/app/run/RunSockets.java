package embrack.app.run;

import embrack.app.door.Entry;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.DoorsMoved;
import embrack.core.crew.Right;
import embrack.core.run.Run;
import java.io.IOException;
import java.net.URI;
import java.security.Principal;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.http.server.ServletServerHttpRequest;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketHandler;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.handler.ConcurrentWebSocketSessionDecorator;
import org.springframework.web.socket.handler.TextWebSocketHandler;
import org.springframework.web.socket.server.HandshakeInterceptor;

/**
 * Those who watch a run, each at a socket. In come acts, a line each: {@code press quay-board.1.3}. Out go {@code clock
 * 1500000 1.0 true 2 30000000 0} (how far in milliseconds, how fast, whether it goes, which part, how far that is in
 * microseconds, how far the show is in milliseconds) and pieces of the page: {@code piece run-boxes}, and on the next
 * lines what stands there now. What looks as before is not sent again; who is too slow to take it all misses pieces,
 * not events: the next ones show them all. {@code ended} is told of a run that somebody ended; who comes while none
 * goes on is told of the next.
 */
@Configuration
@EnableWebSocket
class RunSockets extends TextWebSocketHandler implements WebSocketConfigurer {

    private static final Logger LOG = LoggerFactory.getLogger(RunSockets.class);
    private static final Pattern PATH = Pattern.compile("/rigs/(\\d{1,18})/run/live");
    private static final String PLAYS = "plays";
    private static final int PATIENCE_MILLIS = 5_000;
    private static final int MOST_WAITING = 2 * 1_024 * 1_024;

    /** As many watch one run. */
    private static final int MOST = 256;

    private final LiveRuns runs;
    private final RigStore rigs;
    private final RunPieces pieces;
    private final RunActs acts;
    private final Map<RigId, Audience> audiences = new ConcurrentHashMap<>();
    private final ExecutorService teller = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().daemon().name("run-teller").factory());

    /** Those who watch one run, and what they have been told. */
    private static final class Audience {
        private final Set<WebSocketSession> sessions = ConcurrentHashMap.newKeySet();
        private final Map<String, String> told = new HashMap<>();
        private volatile boolean isWaiting;

        /** Tells those pieces that look otherwise than all who watch were told last. */
        private void tell(Map<String, String> pieces) {
            pieces.forEach((id, html) -> {
                if (!html.equals(told.put(id, html))) {
                    RunSockets.tell(this, piece(id, html));
                }
            });
        }
    }

    RunSockets(LiveRuns runs, RigStore rigs, RunPieces pieces, RunActs acts) {
        this.runs = runs;
        this.rigs = rigs;
        this.pieces = pieces;
        this.acts = acts;
        runs.watch(this::moved);
        runs.watchEnds(this::ended);
        runs.watchMoves(this::gone);
    }

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        registry.addHandler(this, "/rigs/*/run/live").addInterceptors(new Players());
    }

    /** Tells those who may play from those who look on. */
    private static final class Players implements HandshakeInterceptor {

        @Override
        public boolean beforeHandshake(
                ServerHttpRequest request,
                ServerHttpResponse response,
                WebSocketHandler handler,
                Map<String, Object> attributes) {
            if (request instanceof ServletServerHttpRequest asked) {
                Entry entry = Entry.of(asked.getServletRequest());
                rig(request.getURI())
                        .filter(rig -> entry.may(Right.PLAY, rig))
                        .ifPresent(rig -> attributes.put(PLAYS, Boolean.TRUE));
            }
            return true;
        }

        @Override
        public void afterHandshake(
                ServerHttpRequest request,
                ServerHttpResponse response,
                WebSocketHandler handler,
                @Nullable Exception thrown) {}
    }

    @Override
    public void afterConnectionEstablished(WebSocketSession session) throws IOException {
        Optional<RigId> rig = rig(session).filter(rigs::isThere);
        if (rig.isEmpty()) {
            session.close(CloseStatus.BAD_DATA);
            return;
        }
        Audience audience = audiences.computeIfAbsent(rig.get(), id -> new Audience());
        if (audience.sessions.size() >= MOST) {
            session.close(CloseStatus.SERVICE_OVERLOAD);
            return;
        }
        var line = new ConcurrentWebSocketSessionDecorator(
                session, PATIENCE_MILLIS, MOST_WAITING, ConcurrentWebSocketSessionDecorator.OverflowStrategy.DROP);
        session.getAttributes().put("line", line);
        // Before it is told anything: what happens while it is told comes behind.
        audience.sessions.add(line);
        teller.execute(() -> {
            // Told anew whole, so that nothing is missing that came while the page was on its way.
            runs.of(rig.get()).ifPresent(run -> {
                Map<String, String> all = pieces.of(run);
                audience.tell(all);
                all.forEach((id, html) -> send(line, piece(id, html)));
                send(line, clock(run));
            });
        });
    }

    @Override
    public void afterConnectionClosed(WebSocketSession session, CloseStatus status) {
        rig(session)
                .map(audiences::get)
                .ifPresent(audience ->
                        audience.sessions.removeIf(one -> one.getId().equals(session.getId())));
    }

    @Override
    protected void handleTextMessage(WebSocketSession session, TextMessage message) {
        if (!session.getAttributes().containsKey(PLAYS)) {
            return;
        }
        Principal who = session.getPrincipal();
        rig(session)
                .flatMap(runs::of)
                .ifPresent(run -> acts.done(run, who == null ? "" : who.getName(), message.getPayload()));
    }

    /** Something may look otherwise: told once, however much comes until it is. */
    private void moved(LiveRun run) {
        Audience audience = audiences.get(run.rig());
        if (audience == null || audience.sessions.isEmpty() || audience.isWaiting) {
            return;
        }
        audience.isWaiting = true;
        teller.execute(() -> {
            audience.isWaiting = false;
            try {
                audience.tell(pieces.of(run));
                tell(audience, clock(run));
            } catch (RuntimeException e) {
                LOG.error("what the run of rig {} looks like is not told", run.rig(), e);
            }
        });
    }

    private void ended(RigId rig) {
        Audience audience = audiences.get(rig);
        if (audience != null) {
            teller.execute(() -> tell(audience, "ended"));
        }
    }

    /** It goes on at another server: pages join again, there. */
    private void gone(RigId rig) {
        Audience audience = audiences.get(rig);
        if (audience != null) {
            audience.sessions.forEach(RunSockets::close);
        }
    }

    private static void tell(Audience audience, String text) {
        audience.sessions.forEach(session -> send(session, text));
    }

    private static void send(WebSocketSession session, String text) {
        try {
            if (session.isOpen()) {
                session.sendMessage(new TextMessage(text));
            }
        } catch (IOException | RuntimeException e) {
            LOG.debug("a page that watched a run is gone", e);
            close(session);
        }
    }

    /** A page that missed something joins again, and is told all of it. */
    private static void close(WebSocketSession session) {
        try {
            session.close(CloseStatus.SESSION_NOT_RELIABLE);
        } catch (IOException | RuntimeException e) {
            LOG.debug("it was gone already", e);
        }
    }

    private static String piece(String id, String html) {
        return "piece %s%n%s".formatted(id, html);
    }

    private static String clock(LiveRun live) {
        Run run = live.run();
        Pace pace = live.pace();
        return "clock %d %s %s %d %s %d"
                .formatted(
                        run.now() / 1_000,
                        Double.isInfinite(pace.speed().rate())
                                ? "60"
                                : pace.speed().rate(),
                        pace.isGoing(),
                        run.part(),
                        run.songMicros().isPresent()
                                ? String.format(
                                        Locale.ROOT, "%d", run.songMicros().getAsLong())
                                : "-",
                        RunPage.showMicros(run) / 1_000);
    }

    private static Optional<RigId> rig(WebSocketSession session) {
        return rig(session.getUri());
    }

    private static Optional<RigId> rig(@Nullable URI uri) {
        Matcher path = PATH.matcher(uri == null ? "" : uri.getPath());
        return path.matches() ? Optional.of(RigId.of(path.group(1))) : Optional.empty();
    }

    /** Somebody may do less than before: every page joins again, if it may. */
    @TransactionalEventListener(fallbackExecution = true)
    void moved(DoorsMoved doors) {
        audiences.values().forEach(audience -> audience.sessions.forEach(RunSockets::close));
    }

    @EventListener(ContextClosedEvent.class)
    void closing() {
        teller.shutdown();
    }
}
