package embrack.app.past;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Said;
import embrack.app.frame.Shelf;
import embrack.app.frame.Spoken;
import embrack.app.frame.Uploads;
import embrack.app.store.Hand;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.PastEdit;
import embrack.core.edit.Refused;
import embrack.core.past.CameBack;
import embrack.core.past.Thing;
import embrack.core.plan.Plan;
import embrack.files.json.UnreadableFile;
import embrack.files.plan.Edition;
import embrack.files.plan.PlanFile;
import embrack.paper.print.OneFile;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** A copy of a rig that somebody changed elsewhere comes back, and is taken in thing by thing. */
@Controller
@RequestMapping("/rigs/{id}/returned")
class ReturnedController {

    private final RigStore rigs;
    private final Reports reports;
    private final Uploads uploads;
    private final Shelf<ReturnedPage.Read> arrived = new Shelf<>();

    ReturnedController(RigStore rigs, Reports reports, Uploads uploads) {
        this.rigs = rigs;
        this.reports = reports;
        this.uploads = uploads;
    }

    /**
     * What was changed in it.
     *
     * @param read the mark of what was read; empty before
     */
    @GetMapping
    String show(@PathVariable RigId id, @RequestParam(defaultValue = "") String read, Model page) {
        return page(id, read, Echo.NONE, page);
    }

    @PostMapping
    String read(@PathVariable RigId id, @RequestParam MultipartFile file) {
        PlanFile.Copy copy =
                uploads.read(file, Uploads.Sort.PLAN, "file", bytes -> PlanFile.readCopy(OneFile.planIn(bytes)));
        String own = rigs.edition(id).rig();
        int newest = rigs.newestRevision(id);
        Optional<Integer> left = copy.edition()
                .filter(edition -> edition.rig().equals(own))
                .map(Edition::revision)
                .filter(revision -> revision <= newest);
        boolean isOfAnother =
                copy.edition().filter(edition -> !edition.rig().equals(own)).isPresent();
        String mark = arrived.put(new ReturnedPage.Read(copy.plan(), left, isOfAnother));
        return "redirect:/rigs/%s/returned?read=%s".formatted(id, mark);
    }

    /** Takes those things in that were chosen. */
    @PostMapping("/take")
    String take(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String read,
            @RequestParam(defaultValue = "") List<String> thing,
            Hand hand,
            HttpServletResponse response) {
        ReturnedPage.Read copy = found(read);
        List<Thing> chosen = CameBack.of(left(id, copy), copy.copy(), rigs.seenBy(id, hand)).stream()
                .map(back -> back.difference().thing())
                .filter(one -> thing.contains(one.key()))
                .toList();
        if (chosen.isEmpty()) {
            throw new Refused("thing", Because.of("no.nothing-chosen"));
        }
        rigs.edit(id, hand, new PastEdit.TakeIn(chosen, copy.copy()));
        Said.to(response, "Taken in. What was left out stands below.");
        return "redirect:/rigs/%s/returned?read=%s".formatted(id, read);
    }

    private ReturnedPage.Read found(String mark) {
        return arrived.find(mark).orElseThrow(() -> new Refused("file", Because.of("no.copy-gone")));
    }

    private Plan left(RigId id, ReturnedPage.Read read) {
        return read.left()
                .map(revision -> rigs.at(id, revision))
                .orElseGet(() -> rigs.load(id).plan());
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        Echo echo = Refusals.answer(refused, request, response);
        if (request.getRequestURI().endsWith("/take")) {
            page.addAttribute("notice", Spoken.words().say(refused.phrase()));
        }
        return page(id, Optional.ofNullable(request.getParameter("read")).orElse(""), echo, page);
    }

    @ExceptionHandler
    String unreadable(UnreadableFile unreadable, HttpServletRequest request, HttpServletResponse response, Model page) {
        var why = new Refused(
                "file",
                Because.of("no.copy-unreadable")
                        .with("why", unreadable.problems().getFirst().toString()));
        return refused(why, request, response, page);
    }

    private String page(RigId id, String mark, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.outside(stored, reports.of(stored), "/returned"))
                .addAttribute("echo", echo)
                .addAttribute(
                        "returned",
                        arrived.find(mark)
                                .map(read -> ReturnedPage.of(stored, mark, read, left(id, read)))
                                .orElseGet(() -> ReturnedPage.none(stored)));
        return "past/returned";
    }
}
