package embrack.app.light;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.Refused;
import embrack.core.switches.SwitchAt;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;

/** The lights as they go out on a network, off until somebody sends them. */
@Controller
@RequestMapping("/rigs/{id}/lights/output")
class OutputController {

    private final RigStore rigs;
    private final Reports reports;
    private final LightStreams streams;

    OutputController(RigStore rigs, Reports reports, LightStreams streams) {
        this.rigs = rigs;
        this.reports = reports;
        this.streams = streams;
    }

    @GetMapping
    String output(@PathVariable RigId id, Model page) {
        return output(id, Echo.NONE, page);
    }

    /** What is heard now, for a page that looks again. */
    @GetMapping("/heard")
    String heard(@PathVariable RigId id, Model page) {
        output(id, Echo.NONE, page);
        return "light/output :: heard";
    }

    @PostMapping("/send")
    String send(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String to) {
        StoredRig stored = rigs.load(id);
        streams.start(
                id,
                stored.plan().rig().name().text(),
                OutputPage.what(stored.plan(), what),
                to.isBlank() ? Optional.empty() : Optional.of(NetworkAddress.of(to)));
        return toOutput(id);
    }

    @PostMapping("/stop")
    String stop(@PathVariable RigId id) {
        streams.stop(id);
        return toOutput(id);
    }

    /** A switch of the rig is pressed for what obeys a desk's messages. */
    @PostMapping("/press")
    String press(@PathVariable RigId id, @RequestParam(defaultValue = "") String at) {
        SwitchAt pressed = SwitchAt.parse(at).orElseThrow(() -> Refused.text("at", "That switch is no longer there."));
        if (streams.state(id)
                .flatMap(LightStreams.State::live)
                .filter(live -> live.light().plan().switches().of(pressed.board()).stream()
                        .anyMatch(assignment -> assignment.at().equals(pressed)))
                .isEmpty()) {
            throw Refused.text("at", "That switch is no longer there.");
        }
        streams.press(id, pressed);
        return toOutput(id);
    }

    /**
     * Messages that a browser heard, a line each: how many microseconds ago, a blank, and its bytes in hexadecimal.
     * What is no message is passed over.
     */
    @PostMapping("/hear")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void hear(@PathVariable RigId id, @RequestParam(defaultValue = "") String messages) {
        streams.hear(id, HeardMessages.of(messages));
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        return output(RigId.of(Refusals.pathVariable(request, "id")), echo, page);
    }

    private String output(RigId id, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.LIGHTS, "/lights/output"))
                .addAttribute("echo", echo)
                .addAttribute("output", OutputPage.of(stored.plan(), streams.state(id)));
        return "light/output";
    }

    private static String toOutput(RigId id) {
        return "redirect:/rigs/%s/lights/output".formatted(id);
    }
}
