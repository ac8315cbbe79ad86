package embrack.app.frame;

import embrack.app.store.RigChanged;
import embrack.app.store.RigId;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells open pages of a rig that somebody changed it (server-sent events), so that they show it. */
@Controller
class ChangesController {

    /** A page asks again after this long; in milliseconds. */
    private static final long OPEN_FOR = 10 * 60 * 1000L;

    private final Map<RigId, List<SseEmitter>> listening = new ConcurrentHashMap<>();

    @GetMapping(path = "/rigs/{id}/changes", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter listen(@PathVariable RigId id) throws IOException {
        var emitter = new SseEmitter(OPEN_FOR);
        List<SseEmitter> pages = listening.computeIfAbsent(id, i -> new CopyOnWriteArrayList<>());
        Runnable gone = () -> pages.remove(emitter);
        emitter.onCompletion(gone);
        emitter.onTimeout(gone);
        emitter.onError(e -> gone.run());
        pages.add(emitter);
        emitter.send(SseEmitter.event().comment("listening"));
        return emitter;
    }

    /** Lets go of all pages, so that the server need not wait for them when it stops. */
    @EventListener(ContextClosedEvent.class)
    void closing() {
        listening.values().forEach(pages -> pages.forEach(SseEmitter::complete));
    }

    @TransactionalEventListener
    void changed(RigChanged change) {
        List<SseEmitter> pages = listening.getOrDefault(change.rig(), List.of());
        for (SseEmitter page : pages) {
            try {
                page.send(SseEmitter.event().name("revision").data(String.valueOf(change.revision())));
            } catch (IOException | IllegalStateException e) {
                pages.remove(page);
            }
        }
    }
}
