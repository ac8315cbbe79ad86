package embrack.app.line;

import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.gear.SettingId;
import embrack.core.line.Mistake;
import embrack.core.line.SimulatedRig;
import embrack.core.line.Slip;
import embrack.core.line.Travel;
import embrack.core.rig.DeviceId;
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

/** The boxes that are there when no gear is, and the mistakes that somebody programs into them. */
@Controller
@RequestMapping("/rigs/{id}/line/simulated")
class SimulatedController {

    private final RigStore rigs;
    private final SimulatedRigs simulated;
    private final LineRoom room;

    SimulatedController(RigStore rigs, SimulatedRigs simulated, LineRoom room) {
        this.rigs = rigs;
        this.simulated = simulated;
        this.room = room;
    }

    /** All boxes are programmed as planned now. */
    @PostMapping("/program")
    String program(@PathVariable RigId id) {
        simulated.program(rigs.load(id));
        return toLine(id);
    }

    /** A mistake is made. */
    @PostMapping("/mistake")
    String mistake(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "") String kind,
            @RequestParam(defaultValue = "") String number,
            @RequestParam(defaultValue = "false") boolean wholeBox) {
        StoredRig stored = rigs.load(id);
        SimulatedRig boxes = simulated.of(stored);
        Optional<Travel> moved = Travel.of(boxes.plan()).stream()
                .filter(travel -> travel.key().equals(at))
                .findFirst();
        if (moved.isPresent()) {
            Slip.Kind what = Slip.Kind.parse(kind)
                    .orElseThrow(() -> Refused.text("kind", "Choose what goes wrong with what is moved."));
            int which = which(number);
            simulated.add(stored, Refused.at("number", () -> new Slip(what, at, which)));
            return toLine(id);
        }
        SwitchAt where =
                SwitchAt.parse(at).filter(boxes.plan()::has).orElseThrow(() -> Refused.text("at", "Choose a switch."));
        Mistake.Kind what = Mistake.Kind.parse(kind)
                .orElseThrow(() -> Refused.text("kind", "Choose what goes wrong with what is pressed."));
        simulated.add(stored, mistake(what, where, wholeBox, number));
        return toLine(id);
    }

    private static Mistake mistake(Mistake.Kind kind, SwitchAt at, boolean wholeBox, String number) {
        int which = which(number);
        return Refused.at("number", () -> new Mistake(kind, at, wholeBox, which));
    }

    private static int which(String number) {
        if (!number.isBlank() && !number.strip().matches("-?\\d{1,3}")) {
            throw Refused.text("number", "Write a whole number, such as 12 or -1.");
        }
        return number.isBlank() ? 1 : Integer.parseInt(number.strip());
    }

    /** A mistake is put right. */
    @PostMapping("/mend")
    String mend(@PathVariable RigId id, @RequestParam(defaultValue = "-1") int number) {
        simulated.mend(rigs.load(id), number);
        return toLine(id);
    }

    /** What the boxes that obey do now. */
    @GetMapping("/receivers")
    String receivers(@PathVariable RigId id, Model page) {
        return receivers(id, Echo.NONE, page);
    }

    private String receivers(RigId id, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("base", "/rigs/%s/line".formatted(id))
                .addAttribute("echo", echo)
                .addAttribute("receivers", ReceiversView.of(stored.plan(), simulated.of(stored)));
        return "line/receivers :: receivers";
    }

    /** Somebody sets a box otherwise than planned. {@code at} the box and its setting, a slash between. */
    @PostMapping("/set")
    String set(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "") String value,
            HttpServletRequest request,
            HttpServletResponse response,
            Model page) {
        try {
            simulated.set(rigs.load(id), setting(at, value));
            return receivers(id, page);
        } catch (Refused refused) {
            return receivers(id, Refusals.answer(refused, request, response), page);
        }
    }

    private static GearEdit.ChangeSetting setting(String at, String value) {
        int slash = at.indexOf('/');
        if (slash < 0) {
            throw Refused.text("at", "Choose a setting.");
        }
        return Refused.at(
                "at",
                () -> new GearEdit.ChangeSetting(
                        new DeviceId(at.substring(0, slash)), new SettingId(at.substring(slash + 1)), value));
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return room.refused(refused, request, response, page);
    }

    private static String toLine(RigId id) {
        return "redirect:/rigs/%s/line".formatted(id);
    }
}
