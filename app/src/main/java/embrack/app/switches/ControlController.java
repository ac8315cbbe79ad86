package embrack.app.switches;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.chart.PartId;
import embrack.core.edit.ControlEdit;
import embrack.core.edit.Refused;
import embrack.core.gear.ControlType;
import embrack.core.level.Curve;
import embrack.core.level.Law;
import embrack.core.level.Takeover;
import embrack.core.midi.DataByte;
import embrack.core.rig.DeviceId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Target;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Treadles, faders and knobs on the floor plan. */
@Controller
@RequestMapping("/rigs/{id}/switches/{board}/{bank:[1-9]\\d{0,2}}/{type:treadle|fader|knob}/{number:[1-9]\\d{0,2}}")
class ControlController {

    private final RigStore rigs;
    private final SwitchRoom room;

    ControlController(RigStore rigs, SwitchRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    /** The control that a path is about; empty when no box has controls of that type. */
    static Optional<ControlAt> control(String box, int bank, String type, int number) {
        return Stream.of(ControlType.values())
                .filter(t -> t.key().equals(type))
                .findFirst()
                .map(t -> new ControlAt(new DeviceId(box), t, bank, number));
    }

    @DrawnOnce
    @GetMapping
    String show(
            @PathVariable RigId id,
            @PathVariable String board,
            @PathVariable int bank,
            @PathVariable String type,
            @PathVariable int number,
            @RequestParam(defaultValue = "64") int fader,
            @RequestParam(defaultValue = "127") int value,
            @RequestParam(defaultValue = "") String find,
            Model page) {
        return room.control(
                id,
                at(board, bank, type, number),
                Math.clamp(fader, 0, DataByte.MAX),
                Math.clamp(value, 0, DataByte.MAX),
                find,
                Echo.NONE,
                page);
    }

    @PostMapping("/label")
    String label(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable String board,
            @PathVariable int bank,
            @PathVariable String type,
            @PathVariable int number,
            @RequestParam(defaultValue = "") String name) {
        return edit(id, hand, new ControlEdit.NameControl(at(board, bank, type, number), name));
    }

    @PostMapping("/levels")
    String add(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable String board,
            @PathVariable int bank,
            @PathVariable String type,
            @PathVariable int number,
            @RequestParam DeviceId device,
            @RequestParam PartId part) {
        return edit(id, hand, new ControlEdit.AddTarget(at(board, bank, type, number), new Target(device, part)));
    }

    @PostMapping("/levels/remove")
    String remove(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable String board,
            @PathVariable int bank,
            @PathVariable String type,
            @PathVariable int number,
            @RequestParam DeviceId device,
            @RequestParam PartId part) {
        return edit(id, hand, new ControlEdit.RemoveTarget(at(board, bank, type, number), device, part));
    }

    @PostMapping("/levels/{device}/{part}")
    String shape(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable String board,
            @PathVariable int bank,
            @PathVariable String type,
            @PathVariable int number,
            @PathVariable DeviceId device,
            @PathVariable PartId part,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "LINEAR") Curve curve,
            @RequestParam(defaultValue = "DECIBELS") Law law,
            @RequestParam(defaultValue = "") String top,
            @RequestParam(defaultValue = "") String cap) {
        return edit(
                id,
                hand,
                new ControlEdit.Shape(at(board, bank, type, number), device, part, from, to, curve, law, top, cap));
    }

    @PostMapping("/takeover")
    String takeover(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable String board,
            @PathVariable int bank,
            @PathVariable String type,
            @PathVariable int number,
            @RequestParam Takeover takeover) {
        return edit(id, hand, new ControlEdit.ChooseTakeover(at(board, bank, type, number), takeover));
    }

    @PostMapping("/clear")
    String clear(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable String board,
            @PathVariable int bank,
            @PathVariable String type,
            @PathVariable int number) {
        return edit(id, hand, new ControlEdit.ClearControl(at(board, bank, type, number)));
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return room.refused(refused, request, response, page);
    }

    private String edit(RigId id, Hand hand, ControlEdit edit) {
        rigs.edit(id, hand, edit);
        return "redirect:" + BoardView.href("/rigs/" + id, edit.at());
    }

    private static ControlAt at(String box, int bank, String type, int number) {
        return control(box, bank, type, number).orElseThrow();
    }
}
