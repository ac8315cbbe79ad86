package embrack.app.send;

import embrack.app.frame.Echo;
import embrack.app.store.Bench;
import embrack.app.store.Hand;
import embrack.app.store.LineStore;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.compile.Sending;
import embrack.core.edit.Refused;
import embrack.core.edit.WiringEdit;
import embrack.core.midi.Decoder;
import embrack.core.midi.Identity;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.send.Answer;
import embrack.core.send.Asking;
import embrack.core.send.Harmless;
import embrack.core.send.LoopTimes;
import embrack.core.send.Probe;
import embrack.core.send.Teaching;
import embrack.core.way.Delay;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.bind.annotation.ResponseStatus;

/** What boxes are asked: each action is let go through the gate, then somebody says what was seen. */
@Controller
@RequestMapping("/rigs/{id}/line/send")
class SendController {

    private static final int LONGEST_LOOP_MICROS = 10_000_000;

    private final RigStore rigs;
    private final LineStore store;
    private final Sendings sendings;
    private final Gatekeeper gatekeeper;
    private final SendRoom room;

    SendController(RigStore rigs, LineStore store, Sendings sendings, Gatekeeper gatekeeper, SendRoom room) {
        this.rigs = rigs;
        this.store = store;
        this.sendings = sendings;
        this.gatekeeper = gatekeeper;
        this.room = room;
    }

    /** The page. Nothing is sent by opening it. */
    @GetMapping
    String send(@PathVariable RigId id, Model page) {
        return room.enter(id, Echo.NONE, page);
    }

    /** What of the page changes by itself. */
    @GetMapping("/part")
    String part(@PathVariable RigId id, Model page) {
        return room.part(rigs.load(id), page);
    }

    /** What was seen so far in a few words, for a page elsewhere. */
    @GetMapping("/found")
    String found(@PathVariable RigId id, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("base", "/rigs/%s/line/send".formatted(id))
                .addAttribute(
                        "seen", SeenView.of(stored.plan(), sendings.of(stored).asking()));
        return "send/found :: summary";
    }

    /** The ports that a browser has, with what hangs at each. */
    @PostMapping("/ports")
    String ports(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String outs,
            @RequestParam(defaultValue = "") String ins,
            Bench bench,
            Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("base", "/rigs/%s/line/send".formatted(id))
                .addAttribute(
                        "ports",
                        PortsOut.of(
                                stored.plan(),
                                sendings.of(stored).asking().probes().boxes(),
                                store.plugged(stored, bench.place(), names(outs), true),
                                store.plugged(stored, bench.place(), names(ins), false)));
        return "send/send :: ports";
    }

    /** Says what hangs at a port; nothing of the rig where no box is said. */
    @PostMapping("/plug")
    String plug(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String port,
            @RequestParam(defaultValue = "true") boolean outward,
            @RequestParam(defaultValue = "") String box,
            Bench bench) {
        store.plug(id, bench.place(), port, outward, find(rigs.load(id), box));
        return toSend(id);
    }

    /** Somebody at a page says yes to a box. */
    @PostMapping("/open")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void open(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String station,
            @RequestParam(defaultValue = "") String box) {
        StoredRig stored = rigs.load(id);
        gatekeeper.open(stored, station, required(stored, box));
    }

    /** A page has done with sending, or is gone. */
    @PostMapping("/shut")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void shut(@PathVariable RigId id, @RequestParam(defaultValue = "") String station) {
        gatekeeper.shut(id, station);
    }

    /**
     * What is asked next goes, if it may, and if it still is what the page showed.
     *
     * @param probe what the page showed, by its key
     * @param yes whether somebody said yes to just this
     */
    @PostMapping("/next")
    @ResponseBody
    Gatekeeper.Reply next(
            @PathVariable RigId id,
            Bench bench,
            @RequestParam(defaultValue = "") String probe,
            @RequestParam(defaultValue = "false") boolean yes,
            @Nullable Principal who) {
        StoredRig stored = rigs.load(id);
        Probe next = sendings.of(stored)
                .asking()
                .at()
                .filter(asked -> asked.key().equals(probe))
                .orElseThrow(() -> Refused.text("probe", "Something else is asked by now. Look at the page again."));
        Gatekeeper.Reply reply =
                gatekeeper.let(stored, bench, next.device(), next.sendings(), next.isAskedTwice(), yes);
        if (reply.isSent()) {
            sendings.said(stored, named(who), Asking::sent);
        }
        return reply;
    }

    /**
     * Somebody says what was seen.
     *
     * @param other which part of which box moved instead, where one did
     */
    @PostMapping("/answer")
    String answer(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String answer,
            @RequestParam(defaultValue = "") String other,
            @Nullable Principal who) {
        return switch (answer) {
            case "did", "nothing" ->
                said(id, who, asking -> asking.answered(Answer.parse(answer).orElseThrow()));
            case "other" -> {
                Answer what = Answer.parse("other " + other)
                        .orElseThrow(() -> Refused.text("other", "Choose what moved instead."));
                yield said(id, who, asking -> asking.answered(what));
            }
            case "later" -> said(id, who, Asking::later);
            default -> throw Refused.text("answer", "Say what was seen: it did, nothing did, or something else did.");
        };
    }

    /** This is asked next, also once more. */
    @PostMapping("/turn")
    String turn(@PathVariable RigId id, @RequestParam(defaultValue = "") String probe, @Nullable Principal who) {
        return said(id, who, asking -> asking.turnedTo(probe));
    }

    /** Somebody walked to a box. */
    @PostMapping("/walk")
    String walk(@PathVariable RigId id, @RequestParam(defaultValue = "") String box, @Nullable Principal who) {
        DeviceId wanted = required(rigs.load(id), box);
        return said(id, who, asking -> asking.walkedTo(wanted));
    }

    /** What was answered about a box is forgotten, or about all where none is said. */
    @PostMapping("/anew")
    String anew(@PathVariable RigId id, @RequestParam(defaultValue = "") String box, @Nullable Principal who) {
        return said(
                id,
                who,
                asking -> asking.anew(asking.probes().boxes().stream()
                        .filter(one -> box.isEmpty() || one.text().equals(box))
                        .toList()));
    }

    /** A box that waits for a lesson is sent it. */
    @PostMapping("/teach")
    @ResponseBody
    Gatekeeper.Reply teach(
            @PathVariable RigId id,
            Bench bench,
            @RequestParam(defaultValue = "") String box,
            @RequestParam(defaultValue = "") String lesson) {
        StoredRig stored = rigs.load(id);
        DeviceId device = required(stored, box);
        Message message = Teaching.of(stored.plan(), device).entrySet().stream()
                .filter(entry -> entry.getKey().key().equals(lesson))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElseThrow(() -> Refused.text("lesson", "It does not learn that in this plan."));
        return gatekeeper.let(stored, bench, device, Sending.each(List.of(message)), false, false);
    }

    /** A box has learned something: the line of its sheet is ticked. */
    @PostMapping("/learned")
    String learned(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String box,
            @RequestParam(defaultValue = "") String lesson,
            @Nullable Principal who) {
        StoredRig stored = rigs.load(id);
        room.learned(stored, "%s/learn/%s".formatted(required(stored, box), lesson), named(who));
        return toSend(id);
    }

    /** A message that nobody obeys goes to a box, to measure how long it takes. */
    @PostMapping("/measure")
    @ResponseBody
    Gatekeeper.Reply measure(@PathVariable RigId id, Bench bench, @RequestParam(defaultValue = "") String box) {
        StoredRig stored = rigs.load(id);
        Message message = Harmless.in(stored.plan())
                .orElseThrow(() -> Refused.text("box", "Every message does something somewhere in this rig."));
        return gatekeeper.let(stored, bench, required(stored, box), Sending.each(List.of(message)), false, false);
    }

    /**
     * How long messages took.
     *
     * @param out the port out by which they went
     * @param in the port in by which they came back
     * @param micros each in microseconds, blanks between
     */
    @PostMapping("/loop")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void loop(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String out,
            @RequestParam(defaultValue = "") String in,
            @RequestParam(defaultValue = "") String micros,
            Bench bench,
            @Nullable Principal who) {
        StoredRig stored = rigs.load(id);
        Optional<DeviceId> sender =
                store.plugged(stored, bench.place(), List.of(out), true).getOrDefault(out, Optional.empty());
        Optional<DeviceId> heard =
                store.plugged(stored, bench.place(), List.of(in), false).getOrDefault(in, Optional.empty());
        List<Long> times = Stream.of(micros.split(" "))
                .filter(time -> time.matches("\\d{1,8}"))
                .map(Long::valueOf)
                .filter(time -> time <= LONGEST_LOOP_MICROS)
                .limit(LoopTimes.MOST)
                .toList();
        if (sender.isPresent() && heard.isPresent() && !times.isEmpty()) {
            store.loop(id, sender.get(), heard.get(), new LoopTimes(times), named(who));
            sendings.said(stored, named(who), asking -> asking);
        }
    }

    /** A box is asked who it is. */
    @PostMapping("/identity")
    @ResponseBody
    Gatekeeper.Reply identity(@PathVariable RigId id, Bench bench, @RequestParam(defaultValue = "") String box) {
        StoredRig stored = rigs.load(id);
        return gatekeeper.let(
                stored, bench, required(stored, box), Sending.each(List.of(Identity.REQUEST)), false, false);
    }

    /** A box has said who it is. {@code bytes} of its answer, in hexadecimal. */
    @PostMapping("/identified")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void identified(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String box,
            @RequestParam(defaultValue = "") String bytes,
            @Nullable Principal who) {
        StoredRig stored = rigs.load(id);
        DeviceId device = required(stored, box);
        if (bytes.matches("(?:[0-9a-f]{2}){1,40}")) {
            Decoder.hex(bytes).messages().stream()
                    .filter(message -> Identity.of(message).isPresent())
                    .findFirst()
                    .ifPresent(answer -> {
                        store.identity(id, device, answer, named(who));
                        sendings.said(stored, named(who), asking -> asking);
                    });
        }
    }

    /** The plan takes over how long messages were measured to take. */
    @PostMapping("/loop/take")
    String takeLoop(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String sender,
            @RequestParam(defaultValue = "") String heard) {
        LoopTimes times = store.loops(id).stream()
                .filter(loop -> loop.sender().text().equals(sender)
                        && loop.heard().text().equals(heard))
                .map(LineStore.Loop::times)
                .findFirst()
                .orElseThrow(() -> Refused.text("time", "That was not measured yet. Measure it first."));
        rigs.edit(
                id,
                hand,
                new WiringEdit.TakeTime(
                        new DeviceId(sender),
                        new DeviceId(heard),
                        new Delay(times.least(), times.median(), times.worst())));
        return toSend(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return room.refused(refused, request, response, page);
    }

    private String said(RigId id, @Nullable Principal who, UnaryOperator<Asking> what) {
        sendings.said(rigs.load(id), named(who), what);
        return toSend(id);
    }

    static DeviceId required(StoredRig rig, String box) {
        return find(rig, box).orElseThrow(() -> Refused.text("box", "That box is no longer in the rig."));
    }

    private static Optional<DeviceId> find(StoredRig rig, String box) {
        return rig.plan().rig().devices().stream()
                .map(device -> device.id())
                .filter(device -> device.text().equals(box))
                .findFirst();
    }

    static List<String> names(String lines) {
        return lines.lines().distinct().limit(256).toList();
    }

    private static String named(@Nullable Principal who) {
        return who == null ? Hand.SOMEBODY : who.getName();
    }

    static String toSend(RigId id) {
        return "redirect:/rigs/%s/line/send".formatted(id);
    }
}
