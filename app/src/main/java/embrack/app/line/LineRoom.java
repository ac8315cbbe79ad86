package embrack.app.line;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.LineStore;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The page of a line check, whole or what of it changes by itself. */
@Component
class LineRoom {

    private final RigStore rigs;
    private final Reports reports;
    private final LineStore store;
    private final LineChecks checks;
    private final SimulatedRigs simulated;

    LineRoom(RigStore rigs, Reports reports, LineStore store, LineChecks checks, SimulatedRigs simulated) {
        this.rigs = rigs;
        this.reports = reports;
        this.store = store;
        this.checks = checks;
        this.simulated = simulated;
    }

    /** The whole page. */
    String enter(RigId id, String browser, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.LINE, "/line"))
                .addAttribute("echo", echo)
                .addAttribute("simulated", simulated.find(id).map(SimulatedView::of));
        part(stored, checks.of(stored, browser), page);
        return "line/line";
    }

    /** What of it changes by itself. */
    String part(StoredRig stored, LineChecks.Standing standing, Model page) {
        page.addAttribute("base", "/rigs/%s/line".formatted(stored.id()))
                .addAttribute("line", LinePage.of(stored.plan(), standing, store.all(stored.id())));
        return "line/part :: part";
    }

    /** The page of all that comes in. */
    String monitor(RigId id, String box, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.LINE, "/line/monitor"));
        monitorPart(stored, checks.of(stored, ""), box, page);
        return "line/monitor";
    }

    /** What of it changes by itself. */
    String monitorPart(StoredRig stored, LineChecks.Standing standing, String box, Model page) {
        page.addAttribute("base", "/rigs/%s/line".formatted(stored.id()))
                .addAttribute("monitor", MonitorPage.of(stored.plan(), standing, box));
        return "line/monitor :: monitor";
    }

    /** The whole page again after a refusal, with what was typed. */
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        return enter(RigId.of(Refusals.pathVariable(request, "id")), "", echo, page);
    }
}
