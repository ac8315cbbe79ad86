package embrack.app.send;

import embrack.app.frame.Deliveries;
import embrack.app.frame.Spoken;
import embrack.app.store.Bench;
import embrack.app.store.LineStore;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.compile.Sending;
import embrack.core.rig.DeviceId;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Real receivers obey a run that goes on: what comes to them in it is let go to those whose gate is open. */
@Controller
@RequestMapping("/rigs/{id}/line/send/run")
class ObeyController {

    /** Farther apart than this they are not sent: somebody went on to the next cue, and the run is there already. */
    private static final long MOST_APART_MICROS = 100_000;

    private final RigStore rigs;
    private final LineStore store;
    private final Gatekeeper gatekeeper;
    private final Deliveries deliveries;

    ObeyController(RigStore rigs, LineStore store, Gatekeeper gatekeeper, Deliveries deliveries) {
        this.rigs = rigs;
        this.store = store;
        this.gatekeeper = gatekeeper;
        this.deliveries = deliveries;
    }

    /**
     * What goes.
     *
     * @param words what is to be told; empty for nothing
     * @param line what to ask from next
     * @param open the boxes whose gate is open to the page: it may have shut by itself
     */
    record Obeyed(String words, long line, List<String> open, List<Gatekeeper.Reply> replies) {}

    /** The boxes that hang at the ports of a page, each with what to mind, to be said yes to. */
    @PostMapping("/boxes")
    String boxes(@PathVariable RigId id, Bench bench, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute(
                "boxes",
                ObeyView.all(
                        stored.plan(),
                        store.plugged(stored, bench.place(), bench.ports(), true),
                        gatekeeper.boxes(id, bench.station())));
        return "send/obey :: boxes";
    }

    /**
     * What came in the run since then goes on to real boxes.
     *
     * @param line where the page was told to go on from; empty where it was told nothing yet
     */
    @PostMapping("/next")
    @ResponseBody
    Obeyed next(@PathVariable RigId id, Bench bench, @RequestParam(defaultValue = "") String line) {
        StoredRig stored = rigs.load(id);
        Set<DeviceId> open = gatekeeper.boxes(id, bench.station());
        OptionalLong from = line.matches("\\d{1,18}") ? OptionalLong.of(Long.parseLong(line)) : OptionalLong.empty();
        Deliveries.Since since = deliveries.since(id, from, open);
        List<Gatekeeper.Reply> replies = new ArrayList<>();
        for (DeviceId box : open) {
            List<Sending> sendings = sendings(since.deliveries(), box);
            if (!sendings.isEmpty()) {
                replies.add(gatekeeper.let(stored, bench, box, sendings, false, false));
            }
        }
        return new Obeyed(
                since.isTooFast() ? say("obey.too-fast") : "",
                since.line(),
                open.stream().map(DeviceId::text).toList(),
                replies);
    }

    /** Those for one box, as far apart as they came, within reason. */
    private static List<Sending> sendings(List<Deliveries.Delivery> deliveries, DeviceId box) {
        List<Sending> sendings = new ArrayList<>();
        long before = -1;
        for (Deliveries.Delivery delivery : deliveries) {
            if (delivery.box().equals(box)) {
                long apart = before < 0 ? 0 : delivery.atMicros() - before - Gatekeeper.PACE_MICROS;
                sendings.add(new Sending(delivery.message(), (int) (Math.clamp(apart, 0, MOST_APART_MICROS) / 1_000)));
                before = delivery.atMicros();
            }
        }
        return sendings;
    }

    private static String say(String key) {
        return Spoken.words().say(Phrase.of("app/send", key));
    }
}
