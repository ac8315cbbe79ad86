package embrack.app.send;

import embrack.app.frame.Spoken;
import embrack.app.store.Bench;
import embrack.app.store.LineStore;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.compile.Sending;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.midi.RealTime;
import embrack.core.midi.Wire;
import embrack.core.rig.DeviceId;
import embrack.core.send.Feedback;
import embrack.core.word.Phrase;
import embrack.core.world.Engine;
import embrack.core.world.Journey;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Real boards drive real receivers through the plan, as its cables would, to the boxes whose gate is open. */
@Controller
@RequestMapping("/rigs/{id}/line/send")
class DriveController {

    private final RigStore rigs;
    private final LineStore store;
    private final Sendings sendings;
    private final Gatekeeper gatekeeper;

    DriveController(RigStore rigs, LineStore store, Sendings sendings, Gatekeeper gatekeeper) {
        this.rigs = rigs;
        this.store = store;
        this.sendings = sendings;
        this.gatekeeper = gatekeeper;
    }

    /**
     * What goes on to receivers.
     *
     * @param words what is to be told; empty for nothing
     * @param isLoop whether it went round, and the page's gate was shut
     */
    record Driven(String words, boolean isLoop, List<Gatekeeper.Reply> replies) {}

    /**
     * Something came from a board.
     *
     * @param from the port in at which it came
     * @param bytes of one or more messages, in hexadecimal
     * @param since how many microseconds before that the page had sent the same; empty where it had not
     */
    @PostMapping("/drive")
    @ResponseBody
    Driven drive(
            @PathVariable RigId id,
            Bench bench,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String bytes,
            @RequestParam(defaultValue = "") String since) {
        StoredRig stored = rigs.load(id);
        Optional<DeviceId> board = store.plugged(stored, bench.place(), List.of(from), false)
                .getOrDefault(from, Optional.empty())
                .filter(stored.plan().controllers()::contains);
        if (board.isEmpty() || !bytes.matches("(?:[0-9a-fA-F]{2}){1,256}")) {
            return new Driven("", false, List.of());
        }
        Set<DeviceId> open = gatekeeper.boxes(id, bench.station());
        List<Gatekeeper.Reply> replies = new ArrayList<>();
        for (Message message : Decoder.hex(bytes).messages()) {
            if (message instanceof RealTime || open.isEmpty()) {
                continue;
            }
            List<Message> sent = new ArrayList<>();
            for (Map.Entry<DeviceId, List<Message>> one :
                    arriving(stored, board.get(), message).entrySet()) {
                if (open.contains(one.getKey())) {
                    replies.add(
                            gatekeeper.let(stored, bench, one.getKey(), Sending.each(one.getValue()), false, false));
                    sent.addAll(one.getValue());
                }
            }
            if (sendings.watched(stored, before -> before.sending(message, micros(since), sent))
                    .isLoop()) {
                sendings.watched(stored, before -> Feedback.NONE);
                gatekeeper.shut(id, bench.station());
                return new Driven(say(stored, "drive.loop", board.get()), true, List.of());
            }
        }
        return new Driven("", false, replies);
    }

    private static OptionalLong micros(String typed) {
        return typed.matches("\\d{1,12}") ? OptionalLong.of(Long.parseLong(typed)) : OptionalLong.empty();
    }

    /** What comes in where for a message that leaves a board, by the cables of the plan. */
    private static Map<DeviceId, List<Message>> arriving(StoredRig rig, DeviceId board, Message message) {
        Map<DeviceId, List<Message>> arriving = new TreeMap<>();
        Journey journey =
                new Engine(rig.plan()).journey(board, List.of(new Sending(message)), Wire.RunningStatus.NOT_USED, 0);
        journey.deliveries()
                .forEach(delivery -> arriving.computeIfAbsent(delivery.to().device(), d -> new ArrayList<>())
                        .add(delivery.message()));
        return arriving;
    }

    private static String say(StoredRig rig, String key, DeviceId board) {
        return Spoken.words()
                .say(Phrase.of("app/send", key)
                        .with("board", rig.plan().rig().name(board).text()));
    }
}
