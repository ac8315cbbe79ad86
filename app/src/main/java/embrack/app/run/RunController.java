package embrack.app.run;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.Refused;
import embrack.core.run.Night;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The run-through: begun, watched, pressed in. It changes no plan. */
@Controller
@RequestMapping("/rigs/{id}/run")
class RunController {

    private final RigStore rigs;
    private final Reports reports;
    private final LiveRuns runs;
    private final RunActs acts;

    RunController(RigStore rigs, Reports reports, LiveRuns runs, RunActs acts) {
        this.rigs = rigs;
        this.reports = reports;
        this.runs = runs;
        this.acts = acts;
    }

    /** A part to begin from. */
    record From(int number, String words) {}

    @GetMapping
    String run(@PathVariable RigId id, Model page) {
        return enter(id, Echo.NONE, page);
    }

    /** The night for the one who plays: what goes, what comes, what to press next. */
    @GetMapping("/stand")
    String stand(@PathVariable RigId id, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("rigName", stored.plan().rig().name().text())
                .addAttribute("base", "/rigs/%s/run".formatted(id))
                .addAttribute(
                        "stand",
                        runs.of(id).map(live -> StandView.of(live.run())).orElse(null));
        return "run/stand";
    }

    @ExceptionHandler(Refused.class)
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        return enter(RigId.of(Refusals.pathVariable(request, "id")), echo, page);
    }

    private String enter(RigId id, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        Optional<LiveRun> live = runs.of(id);
        Night night = Night.of(reports.of(stored));
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.RUN, "/run"))
                .addAttribute("echo", echo)
                .addAttribute("base", "/rigs/%s/run".formatted(id))
                .addAttribute(
                        "run",
                        live.map(run -> RunPage.of(run, stored.revision())).orElse(null))
                .addAttribute(
                        "faults", live.map(run -> FaultGroup.all(run.run())).orElse(List.of()))
                .addAttribute(
                        "froms",
                        IntStream.range(0, night.parts().size())
                                .mapToObj(i -> new From(
                                        i, night.parts().get(i).entry().name().text()))
                                .toList());
        return "run/run";
    }

    /**
     * Begins a run.
     *
     * @param part from which part, from 0
     * @param bar of its song, from 1; empty for its beginning
     * @param feet "plan" where the run presses what the plan says, else people do
     */
    @PostMapping("/begin")
    String begin(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "0") int part,
            @RequestParam(defaultValue = "") String bar,
            @RequestParam(defaultValue = "plan") String feet,
            @Nullable Principal who) {
        StoredRig stored = rigs.load(id);
        Night night = Night.of(reports.of(stored));
        if (part < 0 || part >= night.parts().size()) {
            throw Refused.text("part", "Choose a part of the order.");
        }
        int bars = night.song(part).map(RunPage::bars).orElse(0);
        if (!bar.isBlank() && !bar.strip().matches("\\d{1,4}")
                || !bar.isBlank() && (Integer.parseInt(bar.strip()) < 1 || Integer.parseInt(bar.strip()) > bars)) {
            throw Refused.text(
                    "bar",
                    bars == 0
                            ? "That part has no bars; leave it empty."
                            : "The song has bars 1 to %d; write one, or leave it empty.".formatted(bars));
        }
        runs.begin(
                stored,
                part,
                bar.isBlank() ? 0 : Integer.parseInt(bar.strip()),
                feet.equals("plan"),
                who == null ? "" : who.getName());
        return "redirect:/rigs/%s/run".formatted(id);
    }

    /** Ends it. */
    @PostMapping("/end")
    String end(@PathVariable RigId id) {
        rigs.newestRevision(id);
        runs.end(id);
        return "redirect:/rigs/%s/run".formatted(id);
    }

    /** Somebody does something in it, where a page has no socket. */
    @PostMapping("/act")
    String act(@PathVariable RigId id, @RequestParam String act, @Nullable Principal who) {
        LiveRun run = runs.of(id).orElseThrow(() -> Refused.text("act", "No run goes on; begin one."));
        if (!acts.done(run, who == null ? "" : who.getName(), act)) {
            throw Refused.text("act", "That cannot be done in this run.");
        }
        return "redirect:/rigs/%s/run".formatted(id);
    }
}
