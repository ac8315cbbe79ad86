package embrack.app.line;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.Hand;
import embrack.app.store.LineStore;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.Refused;
import embrack.core.line.PairTrial;
import embrack.core.line.PairTried;
import embrack.core.line.Pause;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Pairs are tried by pulling a lead: what went on, how long it took, and the way back. It changes no plan. */
@Controller
@RequestMapping("/rigs/{id}/line/pairs")
class PairsController {

    private static final double MICROS = 1e6;
    private static final double LONGEST_SECONDS = 600;

    private final RigStore rigs;
    private final Reports reports;
    private final LineStore store;

    PairsController(RigStore rigs, Reports reports, LineStore store) {
        this.rigs = rigs;
        this.reports = reports;
        this.store = store;
    }

    @GetMapping
    String pairs(@PathVariable RigId id, Model page) {
        return enter(id, Echo.NONE, page);
    }

    private String enter(RigId id, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.LINE, "/line/pairs"))
                .addAttribute("echo", echo)
                .addAttribute("base", "/rigs/%s/line".formatted(id))
                .addAttribute("pairs", PairsPage.of(stored.plan(), store.pairs(id)));
        return "line/pairs";
    }

    /**
     * Somebody says what was seen as a lead of the first was pulled.
     *
     * @param fields the pair; "on." and the key of each thing that it carries: "yes" or "no"; "back" likewise; "times"
     *     when anything was heard meanwhile, a line a port, in microseconds; "gap" in seconds as it was felt
     */
    @PostMapping("/tried")
    String tried(@PathVariable RigId id, @RequestParam Map<String, String> fields, @Nullable Principal who) {
        StoredRig stored = rigs.load(id);
        PairTrial trial = PairTrial.of(stored.plan()).stream()
                .filter(one -> one.key().equals(fields.get("pair")))
                .findFirst()
                .orElseThrow(() -> Refused.text("pair", "That pair is no longer in the rig."));
        SortedSet<String> lost = new TreeSet<>();
        for (PairTrial.Carried carried : trial.carried()) {
            if (!said(fields, "on." + carried.key(), "Say whether it went on.")) {
                lost.add(carried.key());
            }
        }
        boolean back = said(fields, "back", "Say whether the first one played again.");
        store.pair(
                id,
                trial.key(),
                new PairTried(trial.written(), gap(fields), lost, back),
                who == null ? Hand.SOMEBODY : who.getName(),
                stored.revision());
        return "redirect:/rigs/%s/line/pairs".formatted(id);
    }

    private static boolean said(Map<String, String> fields, String field, String otherwise) {
        return switch (fields.getOrDefault(field, "")) {
            case "yes" -> true;
            case "no" -> false;
            default -> throw Refused.text(field, otherwise);
        };
    }

    /** What was heard counts before what was felt. */
    private static OptionalLong gap(Map<String, String> fields) {
        OptionalLong heard = fields.getOrDefault("times", "")
                .lines()
                .map(PairsController::micros)
                .max(Comparator.comparingInt(List::size))
                .flatMap(Pause::of)
                .map(pause -> OptionalLong.of(pause.lostMicros()))
                .orElse(OptionalLong.empty());
        String felt = fields.getOrDefault("gap", "").strip().replace(',', '.');
        if (heard.isPresent() || felt.isEmpty()) {
            return heard;
        }
        if (!felt.matches("\\d{1,3}(\\.\\d{1,3})?") || Double.parseDouble(felt) > LONGEST_SECONDS) {
            throw Refused.text("gap", "Write seconds, such as 0.5 or 2, at most 600.");
        }
        return OptionalLong.of(Math.round(Double.parseDouble(felt) * MICROS));
    }

    private static List<Long> micros(String line) {
        List<Long> micros = new ArrayList<>();
        Stream.of(line.split(" "))
                .filter(time -> time.matches("\\d{1,15}"))
                .limit(Pause.MOST)
                .forEach(time -> micros.add(Long.valueOf(time)));
        return micros;
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        return enter(RigId.of(Refusals.pathVariable(request, "id")), echo, page);
    }
}
