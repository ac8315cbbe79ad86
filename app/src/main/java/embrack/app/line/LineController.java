package embrack.app.line;

import embrack.app.frame.Echo;
import embrack.app.store.Bench;
import embrack.app.store.Hand;
import embrack.app.store.LineStore;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.Edit;
import embrack.core.edit.Refused;
import embrack.core.line.LineCheck;
import embrack.core.line.Planned;
import embrack.core.line.Taking;
import embrack.core.line.Task;
import embrack.core.rig.DeviceId;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The line check: what is to be pressed, what came, and what is wrong with it. It changes no plan. */
@Controller
@RequestMapping("/rigs/{id}/line")
class LineController {

    /** Which browser it is, so that two people at two boxes each see theirs. */
    private static final String BROWSER = "browser";

    private final RigStore rigs;
    private final LineStore store;
    private final LineChecks checks;
    private final LineRoom room;

    LineController(RigStore rigs, LineStore store, LineChecks checks, LineRoom room) {
        this.rigs = rigs;
        this.store = store;
        this.checks = checks;
        this.room = room;
    }

    @GetMapping
    String line(@PathVariable RigId id, @CookieValue(name = BROWSER, defaultValue = "") String browser, Model page) {
        return room.enter(id, browser, Echo.NONE, page);
    }

    /** What of the page changes by itself, for a page that was told that it did. */
    @GetMapping("/part")
    String part(@PathVariable RigId id, @CookieValue(name = BROWSER, defaultValue = "") String browser, Model page) {
        StoredRig stored = rigs.load(id);
        return room.part(stored, checks.of(stored, browser), page);
    }

    /** What the check has found so far in a few words, for a page elsewhere. */
    @GetMapping("/found")
    String found(@PathVariable RigId id, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("base", toLine(id).substring("redirect:".length()))
                .addAttribute("found", FoundView.of(stored.plan(), checks.of(stored, "")))
                .addAttribute(
                        "pairs", PairsPage.of(stored.plan(), store.pairs(id)).brief());
        return "line/part :: summary";
    }

    /**
     * What a browser heard, or that it heard nothing more. What is no message is passed over.
     *
     * @param ports the names of its ports, a line each
     * @param messages a line each: how many microseconds ago, which port from 0, the bytes in hexadecimal, and "x" with
     *     how many of its number came where not all are told
     * @param station who tells
     * @param now when by its own clock, in microseconds
     * @param offset how much the server's clock is before that, where it was measured
     */
    @PostMapping("/heard")
    String heard(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String ports,
            @RequestParam(defaultValue = "") String messages,
            @RequestParam(defaultValue = "0") long turn,
            @RequestParam(defaultValue = "") String station,
            @RequestParam(defaultValue = "0") long now,
            @RequestParam(defaultValue = "") String offset,
            @RequestParam(defaultValue = "") String view,
            @RequestParam(defaultValue = "") String box,
            @CookieValue(name = BROWSER, defaultValue = "") String browser,
            @Nullable Principal who,
            HttpServletResponse response,
            Model page) {
        StoredRig stored = rigs.load(id);
        LineChecks.Standing standing = checks.heard(
                stored,
                named(who),
                browser,
                new Told(station, now, micros(offset), ports.lines().toList(), HeardLines.of(messages)));
        if (standing.turn() == turn) {
            response.setStatus(HttpStatus.NO_CONTENT.value());
            return "line/part :: nothing";
        }
        return view.equals("monitor")
                ? room.monitorPart(stored, standing, box, page)
                : room.part(stored, standing, page);
    }

    private static OptionalLong micros(String typed) {
        return typed.matches("-?\\d{1,18}") ? OptionalLong.of(Long.parseLong(typed)) : OptionalLong.empty();
    }

    /** What the server's clock shows, in microseconds: for pages that measure how theirs lies to it. */
    @PostMapping("/clock")
    @ResponseBody
    String clock(@PathVariable RigId id) {
        return String.valueOf(System.nanoTime() / 1_000);
    }

    /** All that comes in, in words of the plan. {@code box} from which; from all where none is said. */
    @GetMapping("/monitor")
    String monitor(@PathVariable RigId id, @RequestParam(defaultValue = "") String box, Model page) {
        return room.monitor(id, box, page);
    }

    /** What of that page changes by itself. */
    @GetMapping("/monitor/part")
    String monitorPart(@PathVariable RigId id, @RequestParam(defaultValue = "") String box, Model page) {
        StoredRig stored = rigs.load(id);
        return room.monitorPart(stored, checks.of(stored, ""), box, page);
    }

    /** All that came in last, as a list to keep. */
    @GetMapping("/monitor.csv")
    ResponseEntity<byte[]> csv(@PathVariable RigId id) {
        StoredRig stored = rigs.load(id);
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"what-came.csv\"")
                .body(MonitorPage.of(stored.plan(), checks.of(stored, ""), "")
                        .csv()
                        .getBytes(StandardCharsets.UTF_8));
    }

    /** Somebody says what no message says. */
    @PostMapping("/say")
    String say(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String what,
            @CookieValue(name = BROWSER, defaultValue = "") String browser,
            @Nullable Principal who) {
        return switch (what) {
            case "nothing" -> said(id, who, browser, LineCheck::nothing);
            case "later" -> said(id, who, browser, LineCheck::skipped);
            default -> throw Refused.text("what", "Say that nothing comes, or leave it for later.");
        };
    }

    /** This is pressed next, also once more. */
    @PostMapping("/turn")
    String turn(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String task,
            @CookieValue(name = BROWSER, defaultValue = "") String browser,
            @Nullable Principal who) {
        Task wanted =
                Task.parse(task).orElseThrow(() -> Refused.text("task", "That switch is no longer in the check."));
        checks.said(rigs.load(id), named(who), browser, wanted.box(), check -> check.turnedTo(wanted));
        return toLine(id);
    }

    /** Somebody walked to a box. */
    @PostMapping("/walk")
    String walk(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String box,
            @CookieValue(name = BROWSER, defaultValue = "") String browser,
            @Nullable Principal who) {
        DeviceId wanted = box(id, box).orElseThrow(() -> Refused.text("box", "That box is no longer in the rig."));
        checks.said(rigs.load(id), named(who), browser, wanted, check -> check.walkedTo(wanted));
        return toLine(id);
    }

    /** What was found out is forgotten: of a box, or of all where none is said. */
    @PostMapping("/anew")
    String anew(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String box,
            @CookieValue(name = BROWSER, defaultValue = "") String browser,
            @Nullable Principal who) {
        StoredRig stored = rigs.load(id);
        checks.moveAnew(
                stored,
                named(who),
                stored.plan().controllers().stream()
                        .filter(one -> box.isEmpty() || one.text().equals(box))
                        .toList());
        return said(
                id,
                who,
                browser,
                check -> check.anew(check.walk().stops().stream()
                        .map(Planned::task)
                        .filter(task -> box.isEmpty() || task.box().text().equals(box))
                        .toList()));
    }

    /** The plan is wrong, and asks for what came from now on. */
    @PostMapping("/take")
    String take(@PathVariable RigId id, Hand hand, @RequestParam(defaultValue = "") String task) {
        StoredRig stored = rigs.load(id);
        Edit edit = Task.parse(task)
                .flatMap(wanted -> Optional.ofNullable(
                                checks.of(stored, "").check().came().get(wanted))
                        .flatMap(came -> Taking.of(stored.plan(), wanted, came)))
                .orElseThrow(() -> Refused.text("task", "Nothing in the plan makes that right. Program the box."));
        rigs.edit(id, hand, edit);
        return toLine(id);
    }

    /** The ports that a browser brings, with what hangs at each. */
    @PostMapping("/ports")
    String ports(@PathVariable RigId id, Bench bench, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("base", "/rigs/%s/line".formatted(id))
                .addAttribute(
                        "ports",
                        PortsView.of(stored.plan(), store.plugged(stored, bench.place(), bench.ports(), false)));
        return "line/line :: ports";
    }

    /** Says what hangs at a port; nothing of the rig where no box is said. */
    @PostMapping("/plug")
    String plug(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String port,
            @RequestParam(defaultValue = "") String box,
            Bench bench) {
        store.plug(id, bench.place(), port, false, box(id, box));
        return toLine(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return room.refused(refused, request, response, page);
    }

    private Optional<DeviceId> box(RigId id, String box) {
        return rigs.load(id).plan().rig().devices().stream()
                .map(device -> device.id())
                .filter(device -> device.text().equals(box))
                .findFirst();
    }

    private String said(RigId id, @Nullable Principal who, String browser, UnaryOperator<LineCheck> what) {
        checks.said(rigs.load(id), named(who), browser, what);
        return toLine(id);
    }

    private static String named(@Nullable Principal who) {
        return who == null ? Hand.SOMEBODY : who.getName();
    }

    private static String toLine(RigId id) {
        return "redirect:/rigs/%s/line".formatted(id);
    }
}
