package embrack.app.switches;

import embrack.app.frame.Trying;
import embrack.app.store.Because;
import embrack.app.store.Bench;
import embrack.app.store.LineStore;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.app.store.Trial;
import embrack.app.store.TrialStore;
import embrack.core.edit.Refused;
import embrack.core.line.Trodden;
import embrack.core.line.Walk;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.sim.Tread;
import embrack.core.switches.SwitchAt;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.List;
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
    private final Reports reports;
    private final TrialStore trials;
    private final Trials played;
    private final LineStore line;

    TrialController(RigStore rigs, Reports reports, TrialStore trials, Trials played, LineStore line) {
        this.rigs = rigs;
        this.reports = reports;
        this.trials = trials;
        this.played = played;
        this.line = line;
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
        StoredRig stored = rigs.load(id);
        Optional<Tread> made = Tread.parse(tread).filter(t -> t.isPossible(stored.plan()));
        if (made.isPresent()) {
            Trial before = trials.find(id, token).orElse(Trial.none(false));
            keep(id, trials.add(id, token, played.asItStands(stored, before, made.get())), response);
        }
        return shown(id, here);
    }

    /**
     * A real board sent something, for which a foot did something there.
     *
     * @param port at which it came
     * @param sent messages in hexadecimal, blanks between
     */
    @PostMapping("/heard")
    String heard(
            @PathVariable RigId id,
            @CookieValue(name = Trying.COOKIE, defaultValue = "") String token,
            @RequestParam(defaultValue = "") String port,
            @RequestParam(defaultValue = "") String sent,
            @RequestParam(defaultValue = "") String here,
            Bench bench,
            HttpServletResponse response) {
        StoredRig stored = rigs.load(id);
        List<Tread> treads = line.plugged(stored, bench.place(), List.of(port), false).values().stream()
                .flatMap(Optional::stream)
                .flatMap(board -> new Trodden(Walk.of(stored.plan())).by(board, messages(sent)).stream())
                .toList();
        Trial trial = trials.find(id, token).orElse(Trial.none(false));
        for (Tread tread : treads) {
            trial = trials.add(id, trial.token(), tread);
        }
        if (!treads.isEmpty()) {
            keep(id, trial, response);
        }
        return shown(id, here);
    }

    private static List<Message> messages(String sent) {
        return sent.matches("(?:[0-9a-fA-F]{2} ?){1,2048}") ? Decoder.hex(sent).messages() : List.of();
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

    /**
     * The story in which a gesture of a switch fails, as far as it has been told.
     *
     * @param gesture press, hold or double press
     * @param told how many of the things that it tells are done, from the first
     */
    @PostMapping("/story")
    String story(
            @PathVariable RigId id,
            @CookieValue(name = Trying.COOKIE, defaultValue = "") String token,
            @RequestParam(defaultValue = "press") String gesture,
            @RequestParam(defaultValue = "0") int told,
            @RequestParam(defaultValue = "") String here,
            HttpServletResponse response) {
        StoredRig stored = rigs.load(id);
        List<Tread> treads = SwitchAt.parse(here).stream()
                .flatMap(at -> reports.of(stored).proofs(at).stream())
                .filter(proof -> proof.moment().key().equals(gesture))
                .flatMap(proof -> proof.broken().stream())
                .flatMap(broken -> Tread.of(stored.plan(), broken).stream().limit(told))
                .flatMap(List::stream)
                .toList();
        Trial trial = trials.begin(id, token, false);
        for (Tread tread : treads) {
            trial = trials.add(id, trial.token(), tread);
        }
        keep(id, trial, response);
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
