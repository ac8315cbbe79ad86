package embrack.app.send;

import embrack.app.frame.Spoken;
import embrack.app.store.Bench;
import embrack.app.store.LineStore;
import embrack.app.store.RigId;
import embrack.app.store.StoredRig;
import embrack.core.compile.Sending;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.send.Gate;
import embrack.core.send.Quiet;
import embrack.core.way.Ways;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** The one who lets messages go to real gear, by the {@link Gate} of each rig. Nothing is let go beside it. */
@Component
class Gatekeeper {

    /** From one message to the next, so that no wire and no box is flooded: a 5-pin cable carries 20 in that time. */
    static final long PACE_MICROS = 20_000;

    private static final String ROOM = "app/send";

    /** As many of one page and box are remembered, to be let go of at the end. */
    private static final int REMEMBERED = 4_096;

    private static final int MOST_PAGES = 1_000;

    private final LineStore store;
    private final Map<RigId, House> houses = new ConcurrentHashMap<>();

    Gatekeeper(LineStore store) {
        this.store = store;
    }

    private static final class House {
        private Gate gate = Gate.SHUT;
        private final Map<Gate.Pass, Set<Message>> sent = new HashMap<>();
        /** What may go out by a port of this computer, and what may even after the gate was shut; by page. */
        private final Map<String, Set<String>> may = new HashMap<>();

        private final Map<String, Set<String>> mayRest = new HashMap<>();
    }

    /**
     * A message that a browser may send now.
     *
     * @param port the name of its port
     * @param afterMicros after what was let go with it began
     * @param hex its bytes
     */
    record Outgoing(String port, long afterMicros, String hex) {

        /** To be made by {@link Gatekeeper} alone, which a test holds. */
        Outgoing {}
    }

    /**
     * What came of asking.
     *
     * @param box where to
     * @param words why nothing goes; empty where it does
     * @param again whether it goes when somebody says yes once more
     * @param sends what goes
     * @param quiet what puts the box at rest afterwards, whenever the gate shuts
     */
    record Reply(String box, String words, boolean again, List<Outgoing> sends, List<Outgoing> quiet) {

        boolean isSent() {
            return words.isEmpty();
        }
    }

    /** Somebody at a page says yes to a box. */
    void open(StoredRig rig, String station, DeviceId box) {
        House house = house(rig.id());
        synchronized (house) {
            house.gate = house.gate.opened(station, box, now());
        }
    }

    /** A page has done with sending. */
    void shut(RigId rig, String station) {
        House house = house(rig);
        synchronized (house) {
            house.gate = house.gate.shut(station);
            house.sent.keySet().removeIf(pass -> pass.station().equals(station));
            house.may.remove(station);
        }
    }

    /** The boxes that a page may send to now. */
    Set<DeviceId> boxes(RigId rig, String station) {
        House house = house(rig);
        synchronized (house) {
            return house.gate.boxes(station, now());
        }
    }

    /**
     * Lets messages go to a box, or says why not.
     *
     * @param askedTwice whether it can hurt somebody
     * @param yesAgain whether somebody said yes to just this
     */
    Reply let(StoredRig rig, Bench bench, DeviceId box, List<Sending> sendings, boolean askedTwice, boolean yesAgain) {
        List<Message> messages = sendings.stream().map(Sending::message).toList();
        Optional<String> port = port(rig, bench, box, messages);
        if (port.isEmpty()) {
            return refused("no-port", rig, box, false);
        }
        House house = house(rig.id());
        String station = bench.station();
        synchronized (house) {
            switch (house.gate.word(station, box, askedTwice, yesAgain, now())) {
                case SHUT -> {
                    return refused("shut", rig, box, false);
                }
                case ASK_AGAIN -> {
                    return refused("ask-again", rig, box, true);
                }
                case GO -> {}
            }
            house.gate = house.gate.opened(station, box, now());
            Set<Message> sent = house.sent.computeIfAbsent(new Gate.Pass(station, box), pass -> new LinkedHashSet<>());
            messages.stream().limit(Math.max(0, REMEMBERED - sent.size())).forEach(sent::add);
            Reply reply = new Reply(
                    box.text(),
                    "",
                    false,
                    outgoing(port.get(), sendings),
                    outgoing(port.get(), Sending.each(Quiet.after(rig.plan(), box, sent))));
            note(house.may, station, reply.sends());
            note(house.mayRest, station, reply.quiet());
            return reply;
        }
    }

    private static void note(Map<String, Set<String>> where, String station, List<Outgoing> messages) {
        if (where.size() < MOST_PAGES || where.containsKey(station)) {
            Set<String> noted = where.computeIfAbsent(station, page -> new LinkedHashSet<>());
            messages.stream().map(Outgoing::hex).forEach(noted::add);
        }
    }

    /** Whether a message was let go to a page, or puts at rest what was: asked where this computer's ports send it. */
    boolean mayGo(RigId rig, String station, String hex) {
        House house = house(rig);
        synchronized (house) {
            return house.mayRest.getOrDefault(station, Set.of()).contains(hex)
                    || !house.gate.boxes(station, now()).isEmpty()
                            && house.may.getOrDefault(station, Set.of()).contains(hex);
        }
    }

    /** The port that leads to a box: its own, else one of a box that sends to it. */
    private Optional<String> port(StoredRig rig, Bench bench, DeviceId box, List<Message> messages) {
        SortedMap<String, Optional<DeviceId>> plugged = store.plugged(rig, bench.place(), bench.ports(), true);
        return bench.ports().stream()
                .filter(port -> plugged.getOrDefault(port, Optional.empty())
                        .filter(box::equals)
                        .isPresent())
                .findFirst()
                .or(() -> {
                    Ways ways = new Ways(rig.plan().rig());
                    return bench.ports().stream()
                            .filter(port -> plugged.getOrDefault(port, Optional.empty())
                                    .filter(rig.plan().controllers()::contains)
                                    .filter(board -> messages.stream()
                                            .allMatch(message -> ways.between(board, box, message)
                                                    .isPresent()))
                                    .isPresent())
                            .findFirst();
                });
    }

    private static List<Outgoing> outgoing(String port, List<Sending> sendings) {
        List<Outgoing> all = new ArrayList<>();
        long at = 0;
        for (Sending sending : sendings) {
            at += sending.waitMillis() * 1_000L;
            all.add(new Outgoing(
                    port, at, HexFormat.of().formatHex(sending.message().bytes())));
            at += PACE_MICROS;
        }
        return all;
    }

    private static Reply refused(String key, StoredRig rig, DeviceId box, boolean again) {
        return new Reply(
                box.text(),
                Spoken.words()
                        .say(Phrase.of(ROOM, "gate." + key)
                                .with("box", rig.plan().rig().name(box).text())),
                again,
                List.of(),
                List.of());
    }

    private House house(RigId rig) {
        return houses.computeIfAbsent(rig, id -> new House());
    }

    private static long now() {
        return System.nanoTime() / 1_000;
    }
}
