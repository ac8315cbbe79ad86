package embrack.app.line;

import embrack.app.store.Elsewhere;
import embrack.app.store.LineKeptElsewhere;
import embrack.app.store.LineMoved;
import embrack.app.store.LineStore;
import embrack.app.store.RigId;
import embrack.app.store.StoredRig;
import embrack.core.line.Came;
import embrack.core.line.Ears;
import embrack.core.line.Heard;
import embrack.core.line.LineCheck;
import embrack.core.line.Pulse;
import embrack.core.line.Sensing;
import embrack.core.line.SharedCheck;
import embrack.core.line.Task;
import embrack.core.line.Through;
import embrack.core.line.Travels;
import embrack.core.line.Walk;
import embrack.core.midi.RealTime;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * The line checks that are under way, one a rig, whoever listens: two at two ends of a stage share one. What came is
 * kept at once; only a gesture that is not over yet is forgotten when the server ends. What was found at another server
 * is read from what is kept.
 */
@Component
class LineChecks {

    /** As much of what came in is shown. */
    private static final int TAPE = 200;

    private static final int MOST_BROWSERS = 1_000;

    private final LineStore store;
    private final LineLog log;
    private final ApplicationEventPublisher others;
    private final Map<RigId, Running> running = new ConcurrentHashMap<>();
    private final StationClocks clocks = new StationClocks();

    LineChecks(LineStore store, LineLog log, ApplicationEventPublisher others) {
        this.store = store;
        this.log = log;
        this.others = others;
    }

    /**
     * A line of what came in.
     *
     * @param from the box at whose port; empty for a port of which nobody said what hangs there
     * @param isAgain whether the box was heard at another port already, so that it counts no more
     */
    record Arrived(Instant at, Optional<DeviceId> from, String port, HeardLines.Line line, boolean isAgain) {}

    /**
     * How a check stands.
     *
     * @param travels how pedals, faders and knobs stand
     * @param turn counts whatever happened to it
     * @param tape what came in last, the newest first; clocks and what only says that somebody is there are left out
     * @param clocks the clocks that run now, by port
     * @param silent ports at which somebody said that he was there, and no longer does
     * @param odd what came last at a port that was no message, in hexadecimal
     */
    record Standing(
            LineCheck check,
            Travels travels,
            long turn,
            List<Arrived> tape,
            SortedMap<String, Pulse> clocks,
            SortedSet<String> silent,
            SortedMap<String, String> odd) {

        Standing {
            clocks = new TreeMap<>(clocks);
            silent = new TreeSet<>(silent);
            odd = new TreeMap<>(odd);
        }
    }

    private static final class Running {
        private SharedCheck check;
        private Travels travels;
        /** What of them is kept; while one moves it is not kept at each value. */
        private Travels kept;

        private int revision;
        /** Later than any that a page knows from before the server was started. */
        private long turn = Instant.now().toEpochMilli();

        private final Elsewhere elsewhere = new Elsewhere();
        private final Deque<Arrived> tape = new ArrayDeque<>();
        private final SortedMap<String, Pulse> pulses = new TreeMap<>();
        /** At which box each browser stands. */
        private final Map<String, DeviceId> stands = new HashMap<>();

        private Through through;
        private Ears ears = Ears.NONE;
        /** By browser: only it knows whether nothing comes or nobody listens. */
        private final Map<String, Sensing> sensing = new HashMap<>();

        private final Map<String, SortedSet<String>> silent = new HashMap<>();
        private final SortedMap<String, String> odd = new TreeMap<>();

        private Running(SharedCheck check, Travels travels, int revision) {
            this.check = check;
            this.travels = travels;
            this.kept = travels;
            this.through = new Through(check.walk());
            this.revision = revision;
        }

        private synchronized long next() {
            return turn + 1;
        }

        private Optional<DeviceId> at(String browser) {
            return Optional.ofNullable(stands.get(browser));
        }

        private Standing standing(String browser) {
            long now = System.nanoTime() / 1_000;
            pulses.values().removeIf(pulse -> !pulse.isRunning(now));
            SortedSet<String> gone = new TreeSet<>();
            silent.values().forEach(gone::addAll);
            return new Standing(check.at(at(browser)), travels, turn, List.copyOf(tape), pulses, gone, odd);
        }
    }

    /** How the check of a rig stands, on its newest plan, where a browser is. */
    Standing of(StoredRig rig, String browser) {
        Running now = running(rig);
        synchronized (now) {
            follow(now, rig);
            return now.standing(browser);
        }
    }

    /** Somebody at a box says something of it. */
    Standing said(StoredRig rig, String who, String browser, DeviceId box, UnaryOperator<LineCheck> what) {
        Running now = running(rig);
        synchronized (now) {
            stand(now, browser, box);
        }
        return said(rig, who, browser, what);
    }

    /** Something is said of it, by somebody. */
    Standing said(StoredRig rig, String who, String browser, UnaryOperator<LineCheck> what) {
        Running now = running(rig);
        Standing standing;
        synchronized (now) {
            follow(now, rig);
            SharedCheck next = now.check.said(Optional.ofNullable(now.stands.get(browser)), what);
            next.from().ifPresent(box -> stand(now, browser, box));
            change(rig, now, who, next);
            now.turn++;
            standing = now.standing(browser);
        }
        others.publishEvent(new LineMoved(rig.id(), LineMoved.Way.LINE, standing.turn()));
        return standing;
    }

    private static void stand(Running now, String browser, DeviceId box) {
        if (now.stands.size() < MOST_BROWSERS || now.stands.containsKey(browser)) {
            now.stands.put(browser, box);
        }
    }

    /**
     * A browser heard something, or nothing for a while.
     *
     * @param told with its own clock, and how it lies to that of the server where that was measured
     * @return how it stands; the turn is the same where nothing came of it
     */
    Standing heard(StoredRig rig, String who, String browser, Told told) {
        long nowMicros = clocks.micros(told, System.nanoTime() / 1_000);
        List<String> ports = told.ports();
        List<HeardLines.Line> lines = told.read().lines();
        Map<String, Optional<DeviceId>> plugged = store.plugged(rig, browser, ports, false);
        Set<String> said = store.said(rig.id(), browser, false).keySet();
        Running now = running(rig);
        Standing standing;
        long before;
        synchronized (now) {
            follow(now, rig);
            before = now.turn;
            SharedCheck check = now.check;
            Travels travels = now.travels;
            Sensing sensing = now.sensing.getOrDefault(browser, Sensing.NONE);
            boolean isNews = false;
            for (HeardLines.Odd odd : told.read().odd()) {
                now.odd.put(name(ports, odd.port()), odd.hex());
                isNews = true;
            }
            for (HeardLines.Line line : lines) {
                String port = name(ports, line.port());
                long micros = nowMicros - line.agoMicros();
                boolean says = line.message() == RealTime.ACTIVE_SENSING;
                sensing = sensing.heard(port, micros, says);
                isNews |= !says;
                Optional<DeviceId> here = now.at(browser);
                Optional<DeviceId> from = plugged.getOrDefault(port, Optional.empty())
                        .flatMap(box -> isItself(rig.plan(), box) && !said.contains(port)
                                ? Optional.of(box)
                                : now.through.sender(box, line.message(), here));
                if (line.message() == RealTime.CLOCK) {
                    now.pulses.merge(
                            port,
                            Pulse.NONE.with(micros),
                            (pulse, tick) -> pulse.with(tick.ticks().getFirst()));
                    continue;
                }
                if (says) {
                    continue;
                }
                String ear = browser + " " + port;
                boolean isAgain =
                        from.filter(box -> !now.ears.hears(box, ear, micros)).isPresent();
                now.tape.addFirst(
                        new Arrived(Instant.now().minusNanos(line.agoMicros() * 1_000), from, port, line, isAgain));
                if (from.isEmpty() || isAgain) {
                    continue;
                }
                now.ears = now.ears.after(from.get(), ear, micros);
                Heard heard = new Heard(micros, from.get(), line.message(), line.count());
                travels = travels.heard(heard);
                if (!check.walk().on(from.get()).isEmpty()) {
                    stand(now, browser, from.get());
                    check = travels.isMoved(check.walk(), heard) ? check : check.heard(heard);
                }
            }
            while (now.tape.size() > TAPE) {
                now.tape.removeLast();
            }
            // Of what still waits in a page that is held up nothing is known: it is quiet until what came last.
            check = check.quiet(
                    nowMicros - (lines.isEmpty() ? 0 : lines.getLast().agoMicros()));
            SortedSet<String> silent = sensing.silent(nowMicros);
            SortedSet<String> wasSilent = remember(now, browser, sensing, silent);
            boolean moved = !check.equals(now.check) || isNews || !silent.equals(wasSilent);
            now.travels = travels;
            if (lines.isEmpty()) {
                keepTravels(rig, now, who);
            }
            change(rig, now, who, check);
            now.turn += moved ? 1 : 0;
            standing = now.standing(browser);
        }
        if (standing.turn() != before) {
            others.publishEvent(new LineMoved(rig.id(), LineMoved.Way.LINE, standing.turn()));
        }
        return standing;
    }

    /** Keeps what a browser has to tell of who is there, and gives who was silent at it before. */
    private static SortedSet<String> remember(Running now, String browser, Sensing sensing, SortedSet<String> silent) {
        if (now.sensing.size() < MOST_BROWSERS || now.sensing.containsKey(browser)) {
            now.sensing.put(browser, sensing);
            return Objects.requireNonNullElse(now.silent.put(browser, silent), new TreeSet<>());
        }
        return silent;
    }

    private static String name(List<String> ports, int number) {
        return number < ports.size() ? ports.get(number) : "";
    }

    /** Whether a port that is called like a box is that box's own, and no cable that leads to it. */
    private static boolean isItself(Plan plan, DeviceId box) {
        return plan.controllers().contains(box) || !plan.rig().chart(box).isEmpty();
    }

    private Running running(StoredRig rig) {
        return running.computeIfAbsent(
                rig.id(),
                id -> new Running(
                        SharedCheck.of(Walk.of(rig.plan()), kept(id)),
                        Travels.of(rig.plan(), store.travels(id)),
                        rig.revision()));
    }

    private Map<Task, Came> kept(RigId id) {
        return store.all(id).entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, entry -> entry.getValue().came()));
    }

    private void follow(Running now, StoredRig rig) {
        boolean isWiser = now.elsewhere.catchUp(() -> {
            now.check = now.check.knowing(kept(rig.id()));
            Map<String, Travels.Came> came = store.travels(rig.id());
            now.travels = now.travels.knowing(now.kept, came);
            now.kept = Travels.of(rig.plan(), came);
        });
        now.turn += isWiser ? 1 : 0;
        if (now.revision != rig.revision()) {
            now.check = now.check.in(Walk.of(rig.plan()));
            now.travels = Travels.of(rig.plan(), now.travels.came());
            now.through = new Through(now.check.walk());
            now.revision = rig.revision();
            now.turn++;
        }
    }

    /** Another server kept something: it is read once somebody asks, and pages here are told to. */
    @EventListener
    void overtaken(LineKeptElsewhere kept) {
        // Waits for one that is just being read, which may have been read before that was kept.
        Running now = running.computeIfPresent(kept.rig(), (rig, here) -> here);
        if (now != null) {
            now.elsewhere.tell();
            others.publishEvent(new LineMoved(kept.rig(), LineMoved.Way.LINE, now.next()));
        }
    }

    /** Pedals, faders and knobs of some boxes are moved anew. */
    void moveAnew(StoredRig rig, String who, List<DeviceId> boxes) {
        Running now = running(rig);
        synchronized (now) {
            follow(now, rig);
            now.travels = now.travels.anew(boxes);
            keepTravels(rig, now, who);
            now.turn++;
        }
    }

    private void keepTravels(StoredRig rig, Running now, String who) {
        if (!now.travels.came().equals(now.kept.came())) {
            store.keep(rig.id(), now.kept, now.travels, who, rig.revision());
            now.kept = now.travels;
        }
    }

    private void change(StoredRig rig, Running now, String who, SharedCheck next) {
        if (!next.came().equals(now.check.came())) {
            store.keep(rig.id(), now.check.came(), next.came(), who, rig.revision());
            log.write(rig, who, next.inspection());
        }
        now.check = next;
    }
}
