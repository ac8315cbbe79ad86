package embrack.app.switches;

import embrack.app.frame.Echo;
import embrack.app.frame.FindingView;
import embrack.app.frame.Frame;
import embrack.app.frame.NotInRig;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.app.store.Trial;
import embrack.app.store.TrialStore;
import embrack.core.check.Report;
import embrack.core.check.rule.Topic;
import embrack.core.edit.Refused;
import embrack.core.plan.Plan;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts together what the pages of the switches room show. */
@Component
class SwitchRoom {

    /** Where a fader is looked at that stands elsewhere than the value, unless somebody says otherwise. */
    static final int USUAL_FADER = 64;

    static final int USUAL_VALUE = 127;

    private final RigStore rigs;
    private final Reports reports;
    private final TrialStore store;
    private final Trials trials;

    SwitchRoom(RigStore rigs, Reports reports, TrialStore store, Trials trials) {
        this.rigs = rigs;
        this.reports = reports;
        this.store = store;
        this.trials = trials;
    }

    /** What is typed on the floor plan beside edits, and the token of what is tried there. */
    record Look(Moment on, String find, String trial) {

        static final Look PLAIN = new Look(Moment.PRESS, "", "");
    }

    /** The floor plan with a switch selected; elsewhere when the switch is on no board. */
    String floor(RigId id, SwitchAt at, Look look, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        Plan plan = stored.plan();
        if (!plan.has(at)) {
            return NotInRig.instead("switch", id, "/switches", echo);
        }
        Report report = reports.of(stored);
        String path = "/rigs/" + id;
        enter(
                stored,
                report,
                BoardView.href("", at)
                        + (look.on() == Moment.PRESS ? "" : "?on=" + look.on().key()),
                "",
                echo,
                page);
        Trial kept = look.trial().isEmpty()
                ? Trial.none(false)
                : store.find(id, look.trial()).orElse(Trial.none(false));
        page.addAttribute("board", BoardView.of(report, at, path))
                .addAttribute("panel", PanelView.of(report, at, path, look.on(), look.find()))
                .addAttribute("walk", WalkView.of(plan, at, path).orElse(null))
                .addAttribute("trial", TrialView.of(plan, at, kept, trials.play(stored, kept)));
        return "switches/switches";
    }

    /** The floor plan with a treadle, fader or knob selected. */
    String control(RigId id, ControlAt at, int fader, int value, String find, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        Plan plan = stored.plan();
        if (!plan.has(at)) {
            return NotInRig.instead("switch", id, "/switches", echo);
        }
        Report report = reports.of(stored);
        enter(stored, report, BoardView.href("", at), "", echo, page);
        page.addAttribute("board", BoardView.of(report, at, "/rigs/" + id))
                .addAttribute("control", ControlView.of(report, at, "/rigs/" + id, fader, value, find));
        return "switches/controls";
    }

    /** The room when there is no switch to show. */
    String none(RigId id, Model page) {
        StoredRig stored = rigs.load(id);
        enter(stored, reports.of(stored), "/switches", "", Echo.NONE, page);
        page.addAttribute("boards", stored.plan().controllers().size());
        return "switches/none";
    }

    /** What all pages of the room share; gives the report of the newest plan. */
    Report enter(RigId id, String tab, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        Report report = reports.of(stored);
        enter(stored, report, "/switches/" + tab, tab, echo, page);
        return report;
    }

    private static void enter(StoredRig stored, Report report, String here, String tab, Echo echo, Model page) {
        page.addAttribute("frame", Frame.of(stored, report, Room.SWITCHES, here))
                .addAttribute("tab", tab)
                .addAttribute("echo", echo)
                .addAttribute(
                        "placing",
                        FindingView.all(
                                report.findings().stream()
                                        .filter(f -> f.isAbout(Topic.PLACE)
                                                && f.switches().isEmpty()),
                                report.plan()));
    }

    /** The same page again after a refusal, whatever it was about; the whole room when that is gone. */
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        String board = Refusals.pathVariable(request, "board");
        int bank = Integer.parseInt(Refusals.pathVariable(request, "bank"));
        String number = Refusals.pathVariable(request, "number");
        String type = Refusals.pathVariable(request, "type");
        Plan plan = rigs.load(id).plan();
        if (type.isEmpty()) {
            Optional<SwitchAt> at =
                    SwitchAt.parse("%s.%d.%s".formatted(board, bank, number)).filter(plan::has);
            if (at.isPresent()) {
                Echo echo = Refusals.answer(refused, request, response);
                return floor(
                        id,
                        at.get(),
                        new Look(
                                moment(echo.typed().getOrDefault("on", "press")),
                                echo.typed().getOrDefault("find", ""),
                                ""),
                        echo,
                        page);
            }
        } else {
            Optional<ControlAt> at = ControlController.control(board, bank, type, Integer.parseInt(number))
                    .filter(c -> plan.has(c));
            if (at.isPresent()) {
                Echo echo = Refusals.answer(refused, request, response);
                return control(
                        id, at.get(), USUAL_FADER, USUAL_VALUE, echo.typed().getOrDefault("find", ""), echo, page);
            }
        }
        Refusals.answerWithoutForm(refused, request, response, page);
        return none(id, page);
    }

    /** A moment as a link says it; a press when it says none that there is. */
    static Moment moment(String key) {
        return Stream.of(Moment.values())
                .filter(moment -> moment.key().equals(key))
                .findFirst()
                .orElse(Moment.PRESS);
    }
}
