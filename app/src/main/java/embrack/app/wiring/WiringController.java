package embrack.app.wiring;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.check.Report;
import embrack.core.plan.Refused;
import embrack.core.plan.WiringEdit;
import embrack.core.rig.Cable;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The wiring room. */
@Controller
@RequestMapping("/rigs/{id}/wiring")
class WiringController {

    private final RigStore rigs;

    WiringController(RigStore rigs) {
        this.rigs = rigs;
    }

    @GetMapping
    String wiring(@PathVariable RigId id, @RequestParam(defaultValue = "") String from, @RequestParam(defaultValue = "") String to, Model page) {
        return show(id, from, to, Echo.NONE, page);
    }

    @PostMapping("/cables")
    String connect(@PathVariable RigId id, @RequestParam(defaultValue = "") String from, @RequestParam(defaultValue = "") String to) {
        Rig rig = rigs.load(id).plan().rig();
        rigs.edit(id, new WiringEdit.Connect(socket(rig, "from", from), socket(rig, "to", to)));
        return "redirect:/rigs/%s/wiring".formatted(id);
    }

    @PostMapping("/cables/pull")
    String disconnect(@PathVariable RigId id, @RequestParam(defaultValue = "") String from, @RequestParam(defaultValue = "") String to) {
        Rig rig = rigs.load(id).plan().rig();
        rigs.edit(id, new WiringEdit.Disconnect(new Cable(socket(rig, "cable", from), socket(rig, "cable", to))));
        return "redirect:/rigs/%s/wiring".formatted(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        return show(RigId.of(Refusals.pathVariable(request, "id")), echo.typed().getOrDefault("from", ""),
                echo.typed().getOrDefault("to", ""), echo, page);
    }

    private String show(RigId id, String from, String to, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        Rig rig = stored.plan().rig();
        page.addAttribute("frame", Frame.of(stored, Report.of(stored.plan()), Room.WIRING, "/wiring"))
                .addAttribute("wiring", WiringPage.of(rig, WiringPage.find(rig, from), WiringPage.find(rig, to)))
                .addAttribute("echo", echo);
        return "wiring/wiring";
    }

    private static Socket socket(Rig rig, String field, String key) {
        return WiringPage.find(rig, key).orElseThrow(() -> new Refused(field, key.isEmpty()
                ? "Choose a socket for this end." : "That socket is no longer in the rig. Choose another."));
    }
}
