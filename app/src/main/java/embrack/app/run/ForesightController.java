package embrack.app.run;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.RunStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.Refused;
import embrack.core.run.Night;
import embrack.core.run.Rates;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What can go wrong: every single thing, and nights by seed. */
@Controller
@RequestMapping("/rigs/{id}/run/faults")
class ForesightController {

    private static final int MOST_NIGHTS = 1_000;
    private static final int LONGEST_SEED = 9;

    private final RigStore rigs;
    private final Reports reports;
    private final RunStore runs;
    private final Foresight foresight;

    ForesightController(RigStore rigs, Reports reports, RunStore runs, Foresight foresight) {
        this.rigs = rigs;
        this.reports = reports;
        this.runs = runs;
        this.foresight = foresight;
    }

    @GetMapping
    String faults(@PathVariable RigId id, Model page) {
        return enter(id, Echo.NONE, page);
    }

    private String enter(RigId id, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.RUN, "/run/faults"))
                .addAttribute("echo", echo)
                .addAttribute("base", "/rigs/%s/run".formatted(id))
                .addAttribute("isEmpty", Night.of(reports.of(stored)).parts().isEmpty())
                .addAttribute(
                        "page",
                        ForesightPage.of(
                                foresight.singles(id), foresight.nights(id), runs.rates(id), stored.revision()));
        return "run/faults";
    }

    @ExceptionHandler(Refused.class)
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        return enter(RigId.of(Refusals.pathVariable(request, "id")), echo, page);
    }

    /** Tries every single thing, or ends that. */
    @PostMapping("/singles")
    String singles(@PathVariable RigId id, @RequestParam(defaultValue = "try") String what) {
        if (what.equals("end")) {
            rigs.newestRevision(id);
            foresight.endSingles(id);
        } else {
            foresight.trySingles(id);
        }
        return back(id);
    }

    /** Draws nights, or ends that. {@code seed} of the first, {@code count} how many: 1 to 1000. */
    @PostMapping("/nights")
    String nights(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "try") String what,
            @RequestParam(defaultValue = "1") String seed,
            @RequestParam(defaultValue = "1000") String count) {
        if (what.equals("end")) {
            rigs.newestRevision(id);
            foresight.endNights(id);
            return back(id);
        }
        if (!seed.strip().matches("\\d{1,%d}".formatted(LONGEST_SEED))) {
            throw Refused.text("seed", "A seed is a whole number of up to %d digits.".formatted(LONGEST_SEED));
        }
        String many = count.strip();
        if (!many.matches("\\d{1,4}") || Integer.parseInt(many) < 1 || Integer.parseInt(many) > MOST_NIGHTS) {
            throw Refused.text("count", "Draw 1 to %d nights.".formatted(MOST_NIGHTS));
        }
        foresight.tryNights(id, Long.parseLong(seed.strip()), Integer.parseInt(many));
        return back(id);
    }

    /** Says how often things go wrong with this crew: fields by the names of the sorts. */
    @PostMapping("/rates")
    String rates(@PathVariable RigId id, @RequestParam Map<String, String> typed) {
        Map<Rates.Sort, Double> rates = new EnumMap<>(Rates.Sort.class);
        for (Rates.Sort sort : Rates.Sort.values()) {
            String field = sort.name().toLowerCase(Locale.ROOT);
            rates.put(sort, rate(field, typed.getOrDefault(field, "").strip().replace(',', '.')));
        }
        rigs.newestRevision(id);
        runs.rate(id, new Rates(rates));
        return back(id);
    }

    private static double rate(String field, String typed) {
        if (!typed.matches("\\d{1,3}(\\.\\d{1,6})?") || Double.parseDouble(typed) > Rates.MOST) {
            throw Refused.text(field, "A rate is a number from 0 to %d, such as 0.002.".formatted(Rates.MOST));
        }
        return Double.parseDouble(typed);
    }

    private static String back(RigId id) {
        return "redirect:/rigs/%s/run/faults".formatted(id);
    }
}
