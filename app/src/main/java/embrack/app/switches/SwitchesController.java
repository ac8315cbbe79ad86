package embrack.app.switches;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Trying;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.chart.Action;
import embrack.core.edit.Edit;
import embrack.core.edit.FloorEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.SwitchEdit;
import embrack.core.edit.WalkEdit;
import embrack.core.gear.SwitchMode;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The floor plan: one switch of it at a time, and several. */
@Controller
@RequestMapping("/rigs/{id}/switches")
class SwitchesController {

    private static final String SWITCH = "/{board}/{bank:[1-9]\\d{0,2}}/{number:(?:pad|key|button)?[1-9]\\d{0,2}}";

    private final RigStore rigs;
    private final SwitchRoom room;

    SwitchesController(RigStore rigs, SwitchRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    @GetMapping
    String first(@PathVariable RigId id, Model page) {
        Plan plan = rigs.load(id).plan();
        Optional<DeviceId> first = Stream.concat(plan.boards().stream(), plan.controllers().stream())
                .findFirst();
        return first.map(box -> "redirect:" + BoardView.first(plan, box, 1, "/rigs/" + id))
                .orElseGet(() -> room.none(id, page));
    }

    @DrawnOnce
    @GetMapping(SWITCH)
    String show(
            @PathVariable RigId id,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @RequestParam(defaultValue = "press") String on,
            @RequestParam(defaultValue = "") String find,
            @CookieValue(name = Trying.COOKIE, defaultValue = "") String trial,
            Model page) {
        return room.floor(
                id, at(board, bank, number), new SwitchRoom.Look(SwitchRoom.moment(on), find, trial), Echo.NONE, page);
    }

    @PostMapping(SWITCH + "/label")
    String label(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "press") String on) {
        return edit(id, hand, new SwitchEdit.NameSwitch(at(board, bank, number), name), SwitchRoom.moment(on), "");
    }

    @PostMapping(SWITCH + "/short")
    String shorten(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @RequestParam(defaultValue = "") String text) {
        return edit(id, hand, new SwitchEdit.ShortenName(at(board, bank, number), text), Moment.PRESS, "");
    }

    @PostMapping(SWITCH + "/mode")
    String mode(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @RequestParam(defaultValue = "") String mode,
            @RequestParam(defaultValue = "press") String on) {
        return edit(
                id,
                hand,
                new SwitchEdit.ChooseMode(at(board, bank, number), chosen("mode", SwitchMode.values(), mode)),
                SwitchRoom.moment(on),
                "");
    }

    @PostMapping(SWITCH + "/duty")
    String duty(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @RequestParam(defaultValue = "") String duty,
            @RequestParam(defaultValue = "press") String on) {
        return edit(
                id,
                hand,
                new SwitchEdit.GiveDuty(at(board, bank, number), chosen("duty", Duty.values(), duty)),
                SwitchRoom.moment(on),
                "");
    }

    @PostMapping(SWITCH + "/walk")
    String walk(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @RequestParam(defaultValue = "") String receiver,
            @RequestParam(defaultValue = "") String sounds,
            @RequestParam(defaultValue = "") String order) {
        DeviceId to = Refused.at("receiver", () -> new DeviceId(receiver));
        rigs.edit(
                id,
                hand,
                order.isEmpty() ? new WalkEdit.WalkSounds(board, to, sounds) : new WalkEdit.WalkTheShow(board, to));
        return "redirect:" + BoardView.href("/rigs/" + id, at(board, bank, number));
    }

    @PostMapping(SWITCH + "/steps")
    String add(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @RequestParam(defaultValue = "press") String on,
            @RequestParam String device,
            @RequestParam String action,
            @RequestParam(defaultValue = "") String along,
            @RequestParam(defaultValue = "") String find) {
        List<Step> steps = new ArrayList<>(List.of(step(device, action, 0)));
        Stream.of(along.split(",")).filter(key -> !key.isEmpty()).forEach(key -> steps.add(step(device, key, 0)));
        Moment moment = SwitchRoom.moment(on);
        return edit(id, hand, new SwitchEdit.AddSteps(at(board, bank, number), moment, steps), moment, find);
    }

    /** Everything that a search finds, as one edit. */
    @PostMapping(SWITCH + "/steps/all")
    String addAll(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @RequestParam(defaultValue = "press") String on,
            @RequestParam(defaultValue = "") String find) {
        Moment moment = SwitchRoom.moment(on);
        return edit(id, hand, new SwitchEdit.AddFound(at(board, bank, number), moment, find), moment, find);
    }

    @PostMapping(SWITCH + "/steps/{index}/remove")
    String remove(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @PathVariable int index,
            @RequestParam(defaultValue = "press") String on,
            @RequestParam String device,
            @RequestParam String action,
            @RequestParam(defaultValue = "0") int waited) {
        Moment moment = SwitchRoom.moment(on);
        return edit(
                id,
                hand,
                new SwitchEdit.RemoveStep(at(board, bank, number), moment, index, step(device, action, waited)),
                moment,
                "");
    }

    @PostMapping(SWITCH + "/steps/{index}/raise")
    String raise(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @PathVariable int index,
            @RequestParam(defaultValue = "press") String on,
            @RequestParam String device,
            @RequestParam String action,
            @RequestParam(defaultValue = "0") int waited) {
        Moment moment = SwitchRoom.moment(on);
        return edit(
                id,
                hand,
                new SwitchEdit.RaiseStep(at(board, bank, number), moment, index, step(device, action, waited)),
                moment,
                "");
    }

    @PostMapping(SWITCH + "/steps/{index}/wait")
    String wait(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @PathVariable int index,
            @RequestParam(defaultValue = "press") String on,
            @RequestParam String device,
            @RequestParam String action,
            @RequestParam(defaultValue = "0") int waited,
            @RequestParam(defaultValue = "") String millis) {
        Moment moment = SwitchRoom.moment(on);
        return edit(
                id,
                hand,
                new SwitchEdit.WaitBefore(at(board, bank, number), moment, index, step(device, action, waited), millis),
                moment,
                "");
    }

    @PostMapping(SWITCH + "/clear")
    String clear(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number) {
        return edit(id, hand, new SwitchEdit.ClearSwitch(at(board, bank, number)), Moment.PRESS, "");
    }

    /** Several switches at once, {@code from} as they are on the clipboard. */
    @PostMapping(SWITCH + "/floor")
    String floor(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @RequestParam(defaultValue = "") String from,
            @RequestParam("do") String what) {
        SwitchAt here = at(board, bank, number);
        List<SwitchAt> switches = Stream.of(from.split("_"))
                .filter(key -> !key.isEmpty())
                .map(SwitchesController::switchAt)
                .toList();
        if (switches.isEmpty()) {
            throw new Refused("to", Because.of("no.nothing-copied"));
        }
        Edit edit =
                switch (what) {
                    case "move" -> new FloorEdit.MoveSwitches(switches, here);
                    case "swap" -> new FloorEdit.SwapSwitches(switches.getFirst(), here);
                    case "clear" -> new FloorEdit.ClearSwitches(switches);
                    default -> new FloorEdit.CopySwitches(switches, here);
                };
        rigs.edit(id, hand, edit);
        return "redirect:" + BoardView.href("/rigs/" + id, here);
    }

    @PostMapping(SWITCH + "/bank")
    String copyBank(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId board,
            @PathVariable int bank,
            @PathVariable String number,
            @RequestParam int from) {
        rigs.edit(id, hand, new FloorEdit.CopyBank(board, from, bank));
        return "redirect:" + BoardView.href("/rigs/" + id, at(board, bank, number));
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return room.refused(refused, request, response, page);
    }

    private String edit(RigId id, Hand hand, SwitchEdit edit, Moment on, String find) {
        rigs.edit(id, hand, edit);
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(BoardView.href("/rigs/" + id, edit.at()));
        if (on != Moment.PRESS) {
            uri.queryParam("on", on.key());
        }
        return "redirect:"
                + (find.isBlank() ? uri : uri.queryParam("find", "{find}"))
                        .encode()
                        .buildAndExpand(find)
                        .toUriString();
    }

    private static <E extends Enum<E>> Optional<E> chosen(String field, E[] values, String name) {
        if (name.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(Stream.of(values)
                .filter(value -> value.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new Refused(field, Because.of("no.none-of-the-list"))));
    }

    private static SwitchAt switchAt(String key) {
        return SwitchAt.parse(key).orElseThrow(() -> new Refused("to", Because.of("no.nothing-copied")));
    }

    private static Step step(String device, String action, int waited) {
        return Refused.at(
                "step",
                Because.of("no.none-of-the-actions"),
                () -> new Step(new DeviceId(device), Action.parse(action), waited));
    }

    private static SwitchAt at(DeviceId board, int bank, String number) {
        return SwitchAt.parse("%s.%d.%s".formatted(board, bank, number)).orElseThrow();
    }
}
