package embrack.app.send;

import embrack.app.store.Elsewhere;
import embrack.app.store.LineKeptElsewhere;
import embrack.app.store.LineMoved;
import embrack.app.store.LineStore;
import embrack.app.store.RigId;
import embrack.app.store.StoredRig;
import embrack.core.send.Asked;
import embrack.core.send.Asking;
import embrack.core.send.Feedback;
import embrack.core.send.Probes;
import embrack.core.send.Search;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What boxes are asked, one at a time in a rig, whoever sits there. Answers are kept at once. */
@Component
class Sendings {

    private final LineStore store;
    private final ApplicationEventPublisher others;
    private final Map<RigId, Running> running = new ConcurrentHashMap<>();

    Sendings(LineStore store, ApplicationEventPublisher others) {
        this.store = store;
        this.others = others;
    }

    /**
     * How it stands.
     *
     * @param turn counts whatever happened to it
     * @param search what is looked for; empty when nothing is
     */
    record Standing(Asking asking, long turn, Optional<Search> search) {}

    private static final class Running {
        private final Elsewhere elsewhere = new Elsewhere();
        private Asking asking;
        private int revision;
        private long turn = Instant.now().toEpochMilli();
        private Optional<Search> search = Optional.empty();
        private Feedback feedback = Feedback.NONE;

        private Running(Asking asking, int revision) {
            this.asking = asking;
            this.revision = revision;
        }

        private synchronized long next() {
            return turn + 1;
        }
    }

    Standing of(StoredRig rig) {
        return with(rig, now -> new Standing(now.asking, now.turn, now.search));
    }

    /** Something is said of what is asked. */
    void said(StoredRig rig, String who, UnaryOperator<Asking> what) {
        long turn = with(rig, now -> {
            Asking next = what.apply(now.asking);
            if (!next.asked().equals(now.asking.asked())) {
                store.tell(rig.id(), now.asking.asked(), next.asked(), who, rig.revision());
            }
            now.asking = next;
            return ++now.turn;
        });
        others.publishEvent(new LineMoved(rig.id(), LineMoved.Way.SEND, turn));
    }

    /** Something is said of what is looked for; empty when nothing is any more. */
    void searched(StoredRig rig, UnaryOperator<Optional<Search>> what) {
        with(rig, now -> {
            now.search = what.apply(now.search);
            return ++now.turn;
        });
    }

    /** What comes back is watched. */
    Feedback watched(StoredRig rig, UnaryOperator<Feedback> what) {
        return with(rig, now -> {
            now.feedback = what.apply(now.feedback);
            return now.feedback;
        });
    }

    /** Another server kept an answer: it is read once somebody asks, and pages here are told to. */
    @EventListener
    void overtaken(LineKeptElsewhere kept) {
        // Waits for one that is just being read, which may have been read before that was kept.
        Running now = running.computeIfPresent(kept.rig(), (rig, here) -> here);
        if (now != null) {
            now.elsewhere.tell();
            others.publishEvent(new LineMoved(kept.rig(), LineMoved.Way.SEND, now.next()));
        }
    }

    private <T> T with(StoredRig rig, Function<Running, T> what) {
        Running now = running.computeIfAbsent(
                rig.id(), id -> new Running(Asking.of(Probes.of(rig.plan()), answered(id)), rig.revision()));
        synchronized (now) {
            boolean isWiser = now.elsewhere.catchUp(() -> now.asking = now.asking.knowing(answered(rig.id())));
            now.turn += isWiser ? 1 : 0;
            if (now.revision != rig.revision()) {
                now.asking = now.asking.in(Probes.of(rig.plan()));
                now.revision = rig.revision();
                now.turn++;
            }
            return what.apply(now);
        }
    }

    private Map<String, Asked> answered(RigId rig) {
        return store.told(rig).entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, entry -> entry.getValue().asked()));
    }
}
