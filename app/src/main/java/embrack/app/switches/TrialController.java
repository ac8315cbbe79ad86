package embrack.app.switches;

import embrack.app.frame.Trying;
import embrack.app.store.Because;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.Trial;
import embrack.app.store.TrialStore;
import embrack.core.edit.Refused;
import embrack.core.plan.Plan;
import embrack.core.sim.Rehearsal.Tread;
import embrack.core.switches.SwitchAt;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What feet do with the boards of the simulated rig. It changes no plan: the world that is tried is kept beside it. */
@Controller
@RequestMapping("/rigs/{id}/switches/trial")
class TrialController {

    private static final Duration KEPT = Duration.ofDays(30);

    private final RigStore rigs;
    private final TrialStore trials;

    TrialController(RigStore rigs, TrialStore trials) {
        this.rigs = rigs;
        this.trials = trials;
    }

    /**
     * A tread, by its key.
     *
     * @param here the switch whose page is shown again
     */
    @PostMapping("/tread")
    String tread(
            @PathVariable RigId id,
            @CookieValue(name = Trying.COOKIE, defaultValue = "") String token,
            @RequestParam(defaultValue = "") String tread,
            @RequestParam(defaultValue = "") String here,
            HttpServletResponse response) {
        Plan plan = rigs.load(id).plan();
        Optional<Tread> made = Tread.parse(tread).filter(t -> SwitchRoom.isOnBoard(plan, t.at()));
        if (made.isPresent()) {
            keep(id, trials.add(id, token, made.get()), response);
        }
        return shown(id, here);
    }

    /** The last tread is taken back. */
    @PostMapping("/back")
    String back(
            @PathVariable RigId id,
            @CookieValue(name = Trying.COOKIE, defaultValue = "") String token,
            @RequestParam(defaultValue = "") String here) {
        trials.back(id, token);
        return shown(id, here);
    }

    /** Everything begins again. {@code muted} whether from all muted; else from all open, as at power-on. */
    @PostMapping("/begin")
    String begin(
            @PathVariable RigId id,
            @CookieValue(name = Trying.COOKIE, defaultValue = "") String token,
            @RequestParam(defaultValue = "false") boolean muted,
            @RequestParam(defaultValue = "") String here,
            HttpServletResponse response) {
        keep(id, trials.begin(id, token, muted), response);
        return shown(id, here);
    }

    private static void keep(RigId id, Trial trial, HttpServletResponse response) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(Trying.COOKIE, trial.token())
                        .path("/rigs/%s/switches".formatted(id))
                        .maxAge(KEPT)
                        .httpOnly(true)
                        .sameSite("Strict")
                        .build()
                        .toString());
    }

    private static String shown(RigId id, String here) {
        return "redirect:"
                + SwitchAt.parse(here)
                        .map(at -> BoardView.href("/rigs/" + id, at))
                        .orElseThrow(() -> new Refused("here", Because.of("no.none-of-the-list")));
    }
}
