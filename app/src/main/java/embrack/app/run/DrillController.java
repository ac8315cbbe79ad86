package embrack.app.run;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Room;
import embrack.app.store.LogStore;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.run.Night;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The drill: whose feet, how they did, what to practise. */
@Controller
@RequestMapping("/rigs/{id}/run/drill")
class DrillController {

    private final RigStore rigs;
    private final Reports reports;
    private final LogStore log;

    DrillController(RigStore rigs, Reports reports, LogStore log) {
        this.rigs = rigs;
        this.reports = reports;
        this.log = log;
    }

    @GetMapping
    String drill(@PathVariable RigId id, @RequestParam(defaultValue = "") String person, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.RUN, "/run/drill"))
                .addAttribute("echo", Echo.NONE)
                .addAttribute("base", "/rigs/%s/run".formatted(id))
                .addAttribute("froms", RunPage.froms(Night.of(reports.of(stored))))
                .addAttribute("drill", DrillPage.of(log, id, person.strip()));
        return "run/drill";
    }
}
