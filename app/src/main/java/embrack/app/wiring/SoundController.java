package embrack.app.wiring;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.check.rule.Topic;
import embrack.core.edit.Refused;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Ear;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.rig.DeviceId;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is on the sound outputs, and who hears it. */
@Controller
@RequestMapping("/rigs/{id}/wiring/sound")
class SoundController {

    private final RigStore rigs;
    private final WiringRoom room;

    SoundController(RigStore rigs, WiringRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    @DrawnOnce
    @GetMapping
    String sound(@PathVariable RigId id, Model page) {
        return show(id, Echo.NONE, page);
    }

    @PostMapping("/{device}/{output}")
    String hear(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @PathVariable PortId output,
            @RequestParam(defaultValue = "") Set<String> sounds,
            @RequestParam(defaultValue = "") Set<String> to) {
        rigs.edit(
                id,
                hand,
                new WiringEdit.Hear(
                        device,
                        output,
                        Stream.of(Sound.values())
                                .filter(s -> sounds.contains(s.name()))
                                .collect(Collectors.toSet()),
                        Stream.of(Ear.values())
                                .filter(e -> to.contains(e.name()))
                                .collect(Collectors.toSet())));
        return "redirect:/rigs/%s/wiring/sound".formatted(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        boolean there = rigs.load(id)
                .plan()
                .rig()
                .find(new DeviceId(Refusals.pathVariable(request, "device")))
                .isPresent();
        return show(
                id,
                there
                        ? Refusals.answer(refused, request, response)
                        : Refusals.answerWithoutForm(refused, request, response, page),
                page);
    }

    private String show(RigId id, Echo echo, Model page) {
        page.addAttribute(
                "sound",
                SoundPage.of(
                        room.enter(id, "sound", echo, page, Topic.SOUND).plan().rig()));
        return "wiring/sound";
    }
}
