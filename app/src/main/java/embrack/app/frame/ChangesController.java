package embrack.app.frame;

import embrack.app.store.LineMoved;
import embrack.app.store.RigChanged;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.DoorsMoved;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells open pages of a rig that somebody changed it, or that its line check went on (server-sent events), so that they
 * show it. The newest revision is told on connecting, so that nothing is missed between drawing and listening; what is
 * told later is told outside the edit, which waits for no page.
 */
@Controller
class ChangesController {

    /** As many pages of one rig, and as many in all, as are told. */
    static final int MOST_OF_A_RIG = 256;

    static final int MOST = 1_024;

    private static final String TOO_MANY =
            "Too many pages listen already; this one shows changes when it is loaded again.";

    private static final String REVISION = "revision";

    private final RigStore rigs;
    private final Map<RigId, List<SseEmitter>> listening = new HashMap<>();
    private final ExecutorService teller = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().daemon().name("changes").factory());
    private final Duration openFor;
    private int pages;

    /**
     * For the rigs of a store.
     *
     * @param openFor a page asks again after this long
     */
    ChangesController(RigStore rigs, @Value("${embrack.listening}") Duration openFor) {
        this.rigs = rigs;
        this.openFor = openFor;
    }

    /** A stream, said to be one by the type: of anything else the end would be taken for a page to be drawn. */
    @GetMapping(path = "/rigs/{id}/changes")
    @Nullable
    SseEmitter listen(@PathVariable RigId id, HttpServletResponse response) throws IOException {
        rigs.newestRevision(id);
        var page = new SseEmitter(openFor.toMillis());
        if (!add(id, page)) {
            response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
            response.setHeader("Retry-After", "60");
            response.setContentType(MediaType.TEXT_PLAIN_VALUE);
            response.getWriter().write(TOO_MANY);
            return null;
        }
        Runnable gone = () -> remove(id, page);
        page.onCompletion(gone);
        page.onTimeout(page::complete);
        page.onError(e -> gone.run());
        // Asked only now, when changes reach the page: one that came in between is told twice rather than never.
        // It waits in the page until this thread begins the answer, so that no other thread writes into its head.
        tell(id, page, REVISION, rigs.newestRevision(id));
        return page;
    }

    private synchronized boolean add(RigId id, SseEmitter page) {
        List<SseEmitter> ofRig = listening.computeIfAbsent(id, i -> new ArrayList<>());
        if (pages >= MOST || ofRig.size() >= MOST_OF_A_RIG) {
            return false;
        }
        pages++;
        return ofRig.add(page);
    }

    private synchronized void remove(RigId id, SseEmitter page) {
        List<SseEmitter> ofRig = listening.getOrDefault(id, new ArrayList<>());
        if (ofRig.remove(page)) {
            pages--;
        }
        if (ofRig.isEmpty()) {
            listening.remove(id);
        }
    }

    private synchronized List<SseEmitter> pagesOf(RigId id) {
        return List.copyOf(listening.getOrDefault(id, List.of()));
    }

    private synchronized List<SseEmitter> allPages() {
        return listening.values().stream().flatMap(List::stream).toList();
    }

    /** Lets go of all pages, so that the server need not wait for them when it stops. */
    @EventListener(ContextClosedEvent.class)
    void closing() {
        allPages().forEach(SseEmitter::complete);
        teller.shutdown();
    }

    /** Somebody may do less than before: every page asks again whether it may listen. */
    @TransactionalEventListener(fallbackExecution = true)
    void moved(DoorsMoved doors) {
        allPages().forEach(SseEmitter::complete);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void changed(RigChanged change) {
        teller.execute(
                () -> pagesOf(change.rig()).forEach(page -> tell(change.rig(), page, REVISION, change.revision())));
    }

    /** A line check went on, in whatever browser. */
    @EventListener
    void moved(LineMoved line) {
        String way = line.way().name().toLowerCase(Locale.ROOT);
        teller.execute(() -> pagesOf(line.rig()).forEach(page -> tell(line.rig(), page, way, line.turn())));
    }

    private void tell(RigId id, SseEmitter page, String what, long number) {
        try {
            page.send(SseEmitter.event().name(what).data(String.valueOf(number)));
        } catch (IOException | IllegalStateException e) {
            remove(id, page);
        }
    }
}
