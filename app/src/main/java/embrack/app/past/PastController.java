package embrack.app.past;

import embrack.app.door.Entry;
import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Said;
import embrack.app.frame.Spoken;
import embrack.app.store.Hand;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.check.Report;
import embrack.core.edit.PastEdit;
import embrack.core.edit.Refused;
import embrack.core.past.Difference;
import embrack.core.plan.Plan;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The history of a rig. */
@Controller
@RequestMapping("/rigs/{id}/history")
class PastController {

    private static final String ALONE = "Not brought back: it needs something that is not there now. In short: %s";

    private final RigStore rigs;
    private final Reports reports;

    PastController(RigStore rigs, Reports reports) {
        this.rigs = rigs;
        this.reports = reports;
    }

    /**
     * The list, by day.
     *
     * @param from the newest that is shown; the newest of all by default
     */
    @GetMapping
    String history(@PathVariable RigId id, @RequestParam(defaultValue = "0") int from, Entry entry, Model page) {
        return list(id, from, entry, Echo.NONE, page);
    }

    private String list(RigId id, int from, Entry entry, Echo echo, Model page) {
        StoredRig stored = enter(id, page);
        int looked = entry.person()
                .flatMap(person -> rigs.look(id, person.id(), stored.revision()))
                .orElse(stored.revision());
        int first = from >= 1 && from <= stored.revision() ? from : stored.revision();
        page.addAttribute(
                        "history",
                        HistoryPage.of(
                                stored, first, looked, rigs.history(id, first, HistoryPage.MOST + 1), rigs.named(id)))
                .addAttribute("echo", echo);
        return "past/history";
    }

    /** A revision beside another: what is another, room by room and on the sheets. */
    @GetMapping("/{revision:\\d{1,9}}")
    String beside(
            @PathVariable RigId id,
            @PathVariable int revision,
            @RequestParam(defaultValue = "0") int against,
            Model page) {
        return compared(id, revision, against, Echo.NONE, page);
    }

    private String compared(RigId id, int revision, int against, Echo echo, Model page) {
        StoredRig stored = enter(id, page);
        if (revision < 1 || revision > stored.revision()) {
            return "redirect:/rigs/%s/history".formatted(id);
        }
        int other = against >= 1 && against <= stored.revision() ? against : stored.revision();
        int earlier = Math.min(revision, other);
        int later = Math.max(revision, other);
        Report then = report(id, earlier);
        Report now = later == stored.revision() ? reports.of(stored) : report(id, later);
        page.addAttribute(
                        "beside",
                        BesidePage.of(
                                stored,
                                rigs.history(id, earlier, 1).getFirst(),
                                rigs.history(id, later, 1).getFirst(),
                                then,
                                now))
                .addAttribute("echo", echo);
        return "past/beside";
    }

    private Report report(RigId id, int revision) {
        return reports.of(new StoredRig(id, revision, rigs.at(id, revision), Optional.empty(), Optional.empty()));
    }

    @PostMapping("/{revision:\\d{1,9}}/name")
    String name(
            @PathVariable RigId id,
            @PathVariable int revision,
            @RequestParam(defaultValue = "") String name,
            Hand hand) {
        rigs.name(id, revision, name, hand.author());
        return "redirect:/rigs/%s/history?from=%d#r%d".formatted(id, revision, revision);
    }

    /** Brings one thing back as it was in a revision. */
    @PostMapping("/{revision:\\d{1,9}}/thing")
    String bringBack(
            @PathVariable RigId id,
            @PathVariable int revision,
            @RequestParam(defaultValue = "") String thing,
            Hand hand,
            HttpServletResponse response) {
        Plan then = rigs.at(id, revision);
        rigs.edit(id, hand, found(then, rigs.seenBy(id, hand), thing));
        Said.to(response, "It is again as it was in revision %d.".formatted(revision));
        return "redirect:/rigs/%s/history/%d".formatted(id, revision);
    }

    private static PastEdit found(Plan then, Plan seen, String key) {
        Difference difference = Difference.between(then, seen).stream()
                .filter(one -> one.thing().key().equals(key))
                .findFirst()
                .orElseThrow(() -> new Refused("thing", Because.of("no.same-again")));
        return new PastEdit.BringBack(difference.thing(), difference.name(), then);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        int revision = Integer.parseInt(Refusals.pathVariable(request, "revision"));
        Echo echo = Refusals.answer(refused, request, response);
        String why = Spoken.words().say(refused.phrase());
        page.addAttribute("notice", refused.field().equals("back") ? ALONE.formatted(why) : why);
        return request.getRequestURI().endsWith("/name")
                ? list(id, revision, Entry.of(request), echo, page)
                : compared(id, revision, 0, echo, page);
    }

    private StoredRig enter(RigId id, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.outside(stored, reports.of(stored), "/history"));
        return stored;
    }
}
