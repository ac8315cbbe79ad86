package embrack.app.wiring;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.edit.Refused;
import embrack.core.edit.WiringEdit;
import embrack.core.rig.DeviceId;
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

/** The wiring room as a picture and as a table: what is joined to what. */
@Controller
@RequestMapping("/rigs/{id}/wiring")
class WiringController {

    private static final String TABLE = "table";

    private final RigStore rigs;
    private final WiringRoom room;

    WiringController(RigStore rigs, WiringRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    @DrawnOnce
    @GetMapping
    String picture(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String bpm,
            @RequestParam(defaultValue = "") String frames,
            @RequestParam(defaultValue = "false") boolean treadle,
            Model page) {
        return room.picture(id, at, to, new LoadForm(bpm, frames, treadle), Echo.NONE, page);
    }

    @DrawnOnce
    @GetMapping("/table")
    String table(@PathVariable RigId id, Model page) {
        return room.table(id, Echo.NONE, page);
    }

    @PostMapping("/links")
    String connect(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String view) {
        Rig rig = rigs.load(id).plan().rig();
        rigs.edit(id, hand, new WiringEdit.Connect(socket(rig, "from", from), socket(rig, "to", to)));
        return view.equals(TABLE)
                ? "redirect:/rigs/%s/wiring/table".formatted(id)
                : toPicture(id, "link:%s~%s".formatted(from, to));
    }

    @PostMapping("/links/pull")
    String disconnect(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String view) {
        Rig rig = rigs.load(id).plan().rig();
        rigs.edit(id, hand, new WiringEdit.Disconnect(socket(rig, "link", from), socket(rig, "link", to)));
        return view.equals(TABLE)
                ? "redirect:/rigs/%s/wiring/table".formatted(id)
                : "redirect:/rigs/%s/wiring".formatted(id);
    }

    @PostMapping("/links/meet")
    String meet(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam DeviceId sender,
            @RequestParam DeviceId receiver,
            @RequestParam(defaultValue = "") String at) {
        rigs.edit(id, hand, new WiringEdit.Meet(sender, receiver));
        return toPicture(id, at);
    }

    /** What was measured at a link no longer counts. */
    @PostMapping("/links/time/forget")
    String forgetTime(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to) {
        rigs.edit(id, hand, new WiringEdit.ForgetTime(PortKey.parse("time", from), PortKey.parse("time", to)));
        return toPicture(id, "link:%s~%s".formatted(from, to));
    }

    @PostMapping("/links/length")
    String measure(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String length,
            @RequestParam(defaultValue = "") String view) {
        Rig rig = rigs.load(id).plan().rig();
        rigs.edit(id, hand, new WiringEdit.Measure(socket(rig, "length", from), socket(rig, "length", to), length));
        return view.equals(TABLE)
                ? "redirect:/rigs/%s/wiring/table".formatted(id)
                : toPicture(id, "link:%s~%s".formatted(from, to));
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        Echo echo = Refusals.answer(refused, request, response);
        if (echo.typed().getOrDefault("view", "").equals(TABLE)) {
            return room.table(id, echo, page);
        }
        String from = echo.typed().getOrDefault("from", "");
        String at = echo.action().endsWith("/length")
                ? "link:%s~%s".formatted(from, echo.typed().getOrDefault("to", ""))
                : "port:" + from;
        return room.picture(id, at, "", LoadForm.NONE, echo, page);
    }

    private static Socket socket(Rig rig, String field, String key) {
        return PortKey.find(rig, key)
                .orElseThrow(() ->
                        new Refused(field, key.isEmpty() ? Because.of("no.no-port") : Because.of("no.port-gone")));
    }

    private static String toPicture(RigId id, String at) {
        return "redirect:/rigs/%s/wiring?at=%s".formatted(id, at);
    }
}
