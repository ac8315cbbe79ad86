package embrack.app.preflight;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.FindingView;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.frame.Said;
import embrack.app.frame.Spoken;
import embrack.app.frame.WayBack;
import embrack.app.store.Hand;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.check.Healing.Healed;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The preflight room: findings and proofs. */
@Controller
@RequestMapping("/rigs/{id}")
class PreflightController {

    private final RigStore rigs;
    private final Reports reports;

    PreflightController(RigStore rigs, Reports reports) {
        this.rigs = rigs;
        this.reports = reports;
    }

    @DrawnOnce
    @GetMapping("/preflight")
    String preflight(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "1") int finding,
            @RequestParam(defaultValue = "1") int row,
            @RequestParam(defaultValue = "1") int song,
            Model page) {
        StoredRig stored = rigs.load(id);
        Report report = reports.of(stored);
        page.addAttribute("frame", Frame.of(stored, report, Room.PREFLIGHT, "/preflight"))
                .addAttribute(
                        "preflight", PreflightPage.of(report, new PreflightPage.At(finding, row, song), "/rigs/" + id));
        return "preflight/preflight";
    }

    /** What was found, one after another, to be mended by oneself. */
    @DrawnOnce
    @GetMapping("/tour")
    String tour(@PathVariable RigId id, @RequestParam(defaultValue = "1") int at, Model page) {
        StoredRig stored = rigs.load(id);
        Report report = reports.of(stored);
        page.addAttribute("frame", Frame.of(stored, report, Room.PREFLIGHT, "/tour?at=" + at))
                .addAttribute("tour", TourPage.of(report, at, "/rigs/" + id));
        return "preflight/tour";
    }

    /** What mends a finding, tried on the whole plan; asked for by a page that shows it. */
    @DrawnOnce
    @GetMapping("/remedies")
    String remedies(
            @PathVariable RigId id,
            @RequestParam String code,
            @RequestParam String key,
            @RequestParam(defaultValue = "") String back,
            Model page) {
        Report report = reports.of(rigs.load(id));
        page.addAttribute("path", "/rigs/" + id)
                .addAttribute("back", back)
                .addAttribute(
                        "f",
                        found(report, code, key)
                                .map(finding -> FindingView.healed(finding, report))
                                .orElse(null));
        return "frame/bits :: ways-out";
    }

    /** Mends a finding by its button; a finding that is no longer there needs no mending. */
    @PostMapping("/remedies")
    String mend(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam String code,
            @RequestParam String key,
            @RequestParam(defaultValue = "0") int way,
            @RequestParam(defaultValue = "") String back) {
        Report report = reports.of(rigs.load(id));
        found(report, code, key).map(report.healing()::of).stream()
                .flatMap(List::stream)
                .skip(Math.max(0, way))
                .findFirst()
                .map(Healed::remedy)
                .map(Remedy::edit)
                .ifPresent(edit -> rigs.edit(id, hand, edit));
        return WayBack.to(id, back);
    }

    private static Optional<Finding> found(Report report, String code, String key) {
        return report.findings().stream()
                .filter(f -> f.code().equals(code) && f.key().equals(key))
                .findFirst();
    }

    /** Somebody changed the plan at the same moment; the page it came from shows how it is now. */
    @ExceptionHandler
    String changedMeanwhile(Refused refused, HttpServletRequest request, HttpServletResponse response) {
        Said.to(response, "Not mended: " + Spoken.words().say(refused.phrase()));
        return WayBack.to(
                RigId.of(Refusals.pathVariable(request, "id")),
                Objects.requireNonNullElse(request.getParameter("back"), ""));
    }
}
