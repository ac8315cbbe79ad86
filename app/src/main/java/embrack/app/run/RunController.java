package embrack.app.run;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.Bench;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.RunStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.Refused;
import embrack.core.name.Words;
import embrack.core.run.Night;
import embrack.core.show.Form;
import embrack.core.show.Song;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.security.SecureRandom;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
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
import org.springframework.web.bind.annotation.ResponseStatus;

/** The run-through: begun, watched, pressed in. It changes no plan. */
@Controller
@RequestMapping("/rigs/{id}/run")
class RunController {

    /** The longest name of a person, in characters, and the longest list of presses. */
    private static final int MOST_NAME = 60;

    private static final int MOST_TARGETS = 2_000;

    private static final double MOST_AGO_MILLIS = 2_000;

    private final RandomGenerator seeds = new SecureRandom();
    private final RigStore rigs;
    private final Reports reports;
    private final LiveRuns runs;
    private final RunActs acts;
    private final RealFeet feet;

    RunController(RigStore rigs, Reports reports, LiveRuns runs, RunActs acts, RealFeet feet) {
        this.feet = feet;
        this.rigs = rigs;
        this.reports = reports;
        this.runs = runs;
        this.acts = acts;
    }

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
                        "pedals",
                        live.map(run -> PedalView.all(run.run().night().plan())).orElse(List.of()))
                .addAttribute("froms", RunPage.froms(night));
        return "run/run";
    }

    /**
     * Begins a run.
     *
     * @param part from which part, from 0
     * @param bar of its song, from 1, or the name of one of its sections; empty for its beginning
     * @param as what it is: "plan", a run that presses what the plan says; "people", one in which people do; "drill",
     *     their feet are trained; "show", it follows the show itself
     * @param person whose feet
     * @param slower whether a drill goes slower
     * @param faults whether something goes wrong in each song of a drill
     * @param targets the presses that a drill is about; empty for all
     */
    @PostMapping("/begin")
    String begin(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "0") int part,
            @RequestParam(defaultValue = "") String bar,
            @RequestParam(defaultValue = "plan") String as,
            @RequestParam(defaultValue = "") String person,
            @RequestParam(defaultValue = "false") boolean slower,
            @RequestParam(defaultValue = "false") boolean faults,
            @RequestParam(defaultValue = "") String targets,
            @Nullable Principal who) {
        StoredRig stored = rigs.load(id);
        Night night = Night.of(reports.of(stored));
        if (part < 0 || part >= night.parts().size()) {
            throw Refused.text("part", "Choose a part of the order.");
        }
        int from = bar(night.song(part), bar.strip());
        if (person.strip().length() > MOST_NAME) {
            throw Refused.text("person", "A name has at most %d characters.".formatted(MOST_NAME));
        }
        RunStore.Sort sort = RunStore.Sort.of(as);
        String own = who == null ? "" : who.getName();
        boolean isDrill = sort == RunStore.Sort.DRILL;
        runs.begin(
                stored,
                new RunStore.Wish(
                        sort,
                        part,
                        from,
                        as.equals("plan"),
                        person.isBlank() ? own : person.strip(),
                        isDrill && targets.length() <= MOST_TARGETS ? targets : "",
                        isDrill && faults ? OptionalLong.of(seeds.nextLong()) : OptionalLong.empty()),
                Pace.PAUSED.at(isDrill ? slower ? Pace.Speed.SLOWER : Pace.Speed.PRESSES : Pace.Speed.ONE));
        return "redirect:/rigs/%s/run".formatted(id);
    }

    /** The bar that somebody typed, or at which the section begins that somebody typed; 0 for none. */
    private static int bar(Optional<Song> song, String typed) {
        if (typed.isEmpty()) {
            return 0;
        }
        Form form =
                song.map(Song::form).orElseThrow(() -> Refused.text("bar", "That part has no bars; leave it empty."));
        if (typed.matches("\\d{1,4}") && Integer.parseInt(typed) >= 1 && Integer.parseInt(typed) <= form.bars()) {
            return Integer.parseInt(typed);
        }
        return IntStream.range(0, form.sections().size())
                .filter(i -> form.sections().get(i).name().text().equalsIgnoreCase(typed))
                .map(form::firstBar)
                .findFirst()
                .orElseThrow(() -> Refused.text(
                        "bar",
                        "The song has bars 1 to %d, and the sections %s; write one, or leave it empty."
                                .formatted(
                                        form.bars(),
                                        Words.list(form.sections().stream()
                                                .map(section -> section.name().text())
                                                .toList()))));
    }

    /** Plays a run, drill or show of this rig again, as it was played. */
    @PostMapping("/again")
    String again(@PathVariable RigId id, @RequestParam(defaultValue = "") String run) {
        if (!run.matches("\\d{1,18}") || !runs.again(id, Long.parseLong(run))) {
            throw Refused.text("act", "That run is not there any more.");
        }
        return "redirect:/rigs/%s/run".formatted(id);
    }

    /** Ends it. */
    @PostMapping("/end")
    String end(@PathVariable RigId id) {
        rigs.newestRevision(id);
        runs.end(id);
        return "redirect:/rigs/%s/run".formatted(id);
    }

    /**
     * What a real board sent in one go, as the browser heard it.
     *
     * @param port the name of the port
     * @param sent bytes in hexadecimal
     * @param ago how long ago its first byte came, milliseconds; at most two seconds count
     */
    @PostMapping("/heard")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void heard(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String port,
            @RequestParam(defaultValue = "") String sent,
            @RequestParam(defaultValue = "0") double ago,
            Bench bench,
            @Nullable Principal who) {
        StoredRig stored = rigs.load(id);
        long micros = (long) (Math.clamp(ago, 0, MOST_AGO_MILLIS) * 1_000);
        runs.of(id)
                .filter(run -> !run.isReplay())
                .ifPresent(run -> feet.at(stored, bench, port, sent)
                        .forEach(act -> runs.act(run, who == null ? "" : who.getName(), act, micros)));
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
