package embrack.app.switches;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.chart.Action;
import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.plan.Refused;
import embrack.core.plan.SwitchEdit;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
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
import org.springframework.web.util.UriComponentsBuilder;

/** The switches room. */
@Controller
@RequestMapping("/rigs/{id}/switches")
class SwitchesController {

    private static final String SWITCH = "/{board}/{bank:[1-9]\\d{0,2}}/{number:[1-9]\\d{0,2}}";

    private final RigStore rigs;

    SwitchesController(RigStore rigs) {
        this.rigs = rigs;
    }

    @GetMapping
    String first(@PathVariable RigId id, Model page) {
        StoredRig stored = rigs.load(id);
        return stored.plan().boards().isEmpty() ? none(stored, page)
                : "redirect:" + BoardView.href("/rigs/" + id, new SwitchAt(stored.plan().boards().getFirst(), 1, 1));
    }

    @GetMapping(SWITCH)
    String show(@PathVariable RigId id, @PathVariable DeviceId board, @PathVariable int bank, @PathVariable int number,
            @RequestParam(defaultValue = "") String find, @RequestParam(defaultValue = "") String played,
            @RequestParam(defaultValue = "") String press, Model page) {
        return show(id, new SwitchAt(board, bank, number), find, played, press, Echo.NONE, page);
    }

    @PostMapping(SWITCH + "/label")
    String label(@PathVariable RigId id, @PathVariable DeviceId board, @PathVariable int bank, @PathVariable int number,
            @RequestParam(defaultValue = "") String name) {
        return edit(id, new SwitchEdit.NameSwitch(new SwitchAt(board, bank, number), name), "");
    }

    @PostMapping(SWITCH + "/steps")
    String add(@PathVariable RigId id, @PathVariable DeviceId board, @PathVariable int bank, @PathVariable int number,
            @RequestParam DeviceId device, @RequestParam String action, @RequestParam(defaultValue = "") String find) {
        return edit(id, new SwitchEdit.AddStep(new SwitchAt(board, bank, number), step(device, action)), find);
    }

    @PostMapping(SWITCH + "/steps/{index}/remove")
    String remove(@PathVariable RigId id, @PathVariable DeviceId board, @PathVariable int bank, @PathVariable int number,
            @PathVariable int index, @RequestParam DeviceId device, @RequestParam String action) {
        return edit(id, new SwitchEdit.RemoveStep(new SwitchAt(board, bank, number), index, step(device, action)), "");
    }

    @PostMapping(SWITCH + "/steps/{index}/raise")
    String raise(@PathVariable RigId id, @PathVariable DeviceId board, @PathVariable int bank, @PathVariable int number,
            @PathVariable int index, @RequestParam DeviceId device, @RequestParam String action) {
        return edit(id, new SwitchEdit.RaiseStep(new SwitchAt(board, bank, number), index, step(device, action)), "");
    }

    @PostMapping(SWITCH + "/clear")
    String clear(@PathVariable RigId id, @PathVariable DeviceId board, @PathVariable int bank, @PathVariable int number) {
        return edit(id, new SwitchEdit.ClearSwitch(new SwitchAt(board, bank, number)), "");
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        SwitchAt at = new SwitchAt(new DeviceId(Refusals.pathVariable(request, "board")),
                Integer.parseInt(Refusals.pathVariable(request, "bank")), Integer.parseInt(Refusals.pathVariable(request, "number")));
        StoredRig stored = rigs.load(id);
        if (!isOnBoard(stored.plan(), at)) {
            Refusals.answerWithoutForm(refused, request, response, page);
            return none(stored, page);
        }
        Echo echo = Refusals.answer(refused, request, response);
        return show(id, at, echo.typed().getOrDefault("find", ""), "", "", echo, page);
    }

    /** The room when there is no switch to show. */
    private static String none(StoredRig stored, Model page) {
        page.addAttribute("frame", Frame.of(stored, Report.of(stored.plan()), Room.SWITCHES, "/switches"))
                .addAttribute("boards", stored.plan().boards().size());
        return "switches/none";
    }

    private String edit(RigId id, SwitchEdit edit, String find) {
        rigs.edit(id, edit);
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(BoardView.href("/rigs/" + id, edit.at()));
        return "redirect:" + (find.isBlank() ? uri : uri.queryParam("find", "{find}")).encode().buildAndExpand(find).toUriString();
    }

    private String show(RigId id, SwitchAt at, String find, String played, String press, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        Plan plan = stored.plan();
        if (!isOnBoard(plan, at)) {
            return "redirect:/rigs/%s/switches".formatted(id);
        }
        Report report = Report.of(plan);
        String path = "/rigs/" + id;
        page.addAttribute("frame", Frame.of(stored, report, Room.SWITCHES, BoardView.href("", at)))
                .addAttribute("board", BoardView.of(report, at, path))
                .addAttribute("panel", PanelView.of(report, at, path, find))
                .addAttribute("trial", TrialView.of(plan, at.board(), Played.parse(plan, played, press)))
                .addAttribute("echo", echo);
        return "switches/switches";
    }

    private static boolean isOnBoard(Plan plan, SwitchAt at) {
        return Optional.of(at.board()).filter(plan.boards()::contains).map(plan::board)
                .filter(board -> at.bank() <= board.banks().size() && at.number() <= board.switches()).isPresent();
    }

    private static Step step(DeviceId device, String action) {
        try {
            return new Step(device, Action.parse(action));
        } catch (IllegalArgumentException e) {
            throw new Refused("step", "Choose one of the actions below.");
        }
    }
}
