package embrack.app.wiring;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.check.rule.Topic;
import embrack.core.edit.Refused;
import embrack.core.edit.SoundEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Ear;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.gear.SoundEnd;
import embrack.core.gear.SoundRoute;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.ConsoleList;
import embrack.core.sound.SoundPaths;
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
    String sound(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "open") String state,
            @RequestParam(defaultValue = "") String at,
            Model page) {
        return room.sound(id, state, at, Echo.NONE, page);
    }

    @PostMapping("/links")
    String connect(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to) {
        rigs.edit(id, hand, new WiringEdit.Connect(PortKey.parse("from", from), PortKey.parse("to", to)));
        return toSound(id, "link:%s~%s".formatted(from, to));
    }

    @PostMapping("/links/pull")
    String pull(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to) {
        rigs.edit(id, hand, new WiringEdit.Disconnect(PortKey.parse("link", from), PortKey.parse("link", to)));
        return toSound(id, "");
    }

    @PostMapping("/links/length")
    String measure(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String length) {
        rigs.edit(id, hand, new WiringEdit.Measure(PortKey.parse("length", from), PortKey.parse("length", to), length));
        return toSound(id, "link:%s~%s".formatted(from, to));
    }

    @PostMapping("/links/onward")
    String connectOnward(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to) {
        rigs.edit(id, hand, new WiringEdit.ConnectOnward(PortKey.parse("from", from), PortKey.parse("to", to)));
        return toSound(id, "link:%s~%s".formatted(from, to));
    }

    private static String toSound(RigId id, String at) {
        return "redirect:/rigs/%s/wiring/sound%s".formatted(id, at.isEmpty() ? "" : "?at=" + at);
    }

    @DrawnOnce
    @GetMapping("/mix/{device}")
    String mix(
            @PathVariable RigId id,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String out,
            @RequestParam(defaultValue = "") String channels,
            Model page) {
        return mix(id, device, out, channels, Echo.NONE, page);
    }

    @PostMapping("/mix/{device}/send")
    String send(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam String from,
            @RequestParam String to,
            @RequestParam(defaultValue = "") String level) {
        rigs.edit(id, hand, new SoundEdit.SetSend(device, new SoundRoute(end(from), end(to)), level));
        return "redirect:/rigs/%s/wiring/sound/mix/%s?out=%s".formatted(id, device, end(to).port());
    }

    private static SoundEnd end(String key) {
        return Refused.at("level", () -> SoundEnd.parse(key));
    }

    @PostMapping("/mix/{device}/input/{port}")
    String input(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @PathVariable PortId port,
            @RequestParam String what,
            @RequestParam(defaultValue = "false") boolean on,
            @RequestParam(defaultValue = "") String out) {
        rigs.edit(
                id,
                hand,
                what.equals("phantom")
                        ? new SoundEdit.SwitchPhantom(device, port, on)
                        : new SoundEdit.TurnPolarity(device, port, on));
        return "redirect:/rigs/%s/wiring/sound/mix/%s?out=%s".formatted(id, device, out);
    }

    @PostMapping("/ears/{device}")
    String listen(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") Set<String> wants,
            @RequestParam(defaultValue = "") String away) {
        rigs.edit(
                id,
                hand,
                new SoundEdit.Listen(
                        device,
                        Stream.of(Sound.values())
                                .filter(s -> wants.contains(s.name()))
                                .collect(Collectors.toSet()),
                        away));
        return "redirect:/rigs/%s/wiring/sound".formatted(id);
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
        if (request.getRequestURI().contains("/sound/links")) {
            Echo echo = Refusals.answer(refused, request, response);
            String from = echo.typed().getOrDefault("from", "");
            String at = echo.action().endsWith("/length") || echo.action().endsWith("/onward")
                    ? "link:%s~%s".formatted(from, echo.typed().getOrDefault("to", ""))
                    : "port:" + from;
            return room.sound(id, "open", at, echo, page);
        }
        DeviceId device = new DeviceId(Refusals.pathVariable(request, "device"));
        if (rigs.load(id).plan().rig().find(device).isEmpty()) {
            return room.sound(id, "open", "", Refusals.answerWithoutForm(refused, request, response, page), page);
        }
        Echo echo = Refusals.answer(refused, request, response);
        return request.getRequestURI().contains("/sound/mix/")
                ? mix(id, device, echo.typed().getOrDefault("out", ""), "", echo, page)
                : room.sound(id, "open", "", echo, page);
    }

    private String mix(RigId id, DeviceId device, String out, String channels, Echo echo, Model page) {
        var paths = new SoundPaths(
                room.enter(id, "sound", echo, page, Topic.SOUND).plan().rig());
        if (!ConsoleList.consoles(paths).contains(device)) {
            return "redirect:/rigs/%s/wiring/sound".formatted(id);
        }
        page.addAttribute("mix", MixPage.of(paths, device, out, channels));
        return "wiring/mix";
    }
}
