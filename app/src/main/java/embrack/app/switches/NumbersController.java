package embrack.app.switches;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.chart.LearnableId;
import embrack.core.check.Report;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.Refused;
import embrack.core.effort.Price;
import embrack.core.midi.MessageType;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Practice;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Numbers, channels, and how the crew likes to work. */
@Controller("switchNumbersController")
@RequestMapping("/rigs/{id}/switches")
class NumbersController {

    private final RigStore rigs;
    private final SwitchRoom room;

    NumbersController(RigStore rigs, SwitchRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    /** A question with its two answers and their prices. */
    record Question(String key, String words, String reason, int answer, List<Price> prices) {}

    @DrawnOnce
    @GetMapping("/numbers")
    String numbers(@PathVariable RigId id, Model page) {
        return numbers(id, Echo.NONE, page);
    }

    @PostMapping("/numbers/channels")
    String channels(@PathVariable RigId id, Hand hand) {
        return edit(id, hand, new NumberEdit.TakeChannels());
    }

    @PostMapping("/numbers/renumber")
    String renumber(@PathVariable RigId id, Hand hand) {
        return edit(id, hand, new NumberEdit.Renumber());
    }

    @PostMapping("/numbers/{device}/memories")
    String memories(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String inShow,
            @RequestParam(defaultValue = "") String taken) {
        return edit(id, hand, new NumberEdit.UseMemories(device, inShow, taken));
    }

    @PostMapping("/numbers/{device}/{learnable}")
    String pin(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @PathVariable String learnable,
            @RequestParam(defaultValue = "CONTROL_CHANGE") MessageType type,
            @RequestParam(defaultValue = "") String channel,
            @RequestParam(defaultValue = "") String number) {
        return edit(id, hand, new NumberEdit.PinNumber(device, learnable(learnable), type, channel, number));
    }

    @PostMapping("/numbers/{device}/{learnable}/response")
    String respond(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @PathVariable String learnable,
            @RequestParam(defaultValue = "false") boolean alternating,
            @RequestParam(defaultValue = "") String low,
            @RequestParam(defaultValue = "") String high) {
        return edit(id, hand, new NumberEdit.Respond(device, learnable(learnable), alternating, low, high));
    }

    @DrawnOnce
    @GetMapping("/schools")
    String practices(@PathVariable RigId id, Model page) {
        Report report = room.enter(id, "schools", Echo.NONE, page);
        page.addAttribute(
                "questions",
                Stream.of(Practice.values())
                        .map(practice -> new Question(
                                practice.key(),
                                practice.question(),
                                practice.reason(),
                                report.plan().answer(practice),
                                Price.of(report.plan(), practice)))
                        .toList());
        return "switches/schools";
    }

    @PostMapping("/schools/{practice}")
    String choose(@PathVariable RigId id, Hand hand, @PathVariable String practice, @RequestParam int answer) {
        Practice question = Stream.of(Practice.values())
                .filter(s -> s.key().equals(practice))
                .findFirst()
                .orElseThrow(() -> new Refused("answer", Because.of("no.no-question")));
        rigs.edit(id, hand, new NumberEdit.Choose(question, answer));
        return "redirect:/rigs/%s/switches/schools".formatted(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return numbers(
                RigId.of(Refusals.pathVariable(request, "id")), Refusals.answer(refused, request, response), page);
    }

    private String numbers(RigId id, Echo echo, Model page) {
        page.addAttribute("numbers", NumbersPage.of(room.enter(id, "numbers", echo, page)));
        return "switches/numbers";
    }

    private static LearnableId learnable(String key) {
        return Refused.at("number", Because.of("no.not-learnable"), () -> LearnableId.parse(key));
    }

    private String edit(RigId id, Hand hand, NumberEdit edit) {
        rigs.edit(id, hand, edit);
        return "redirect:/rigs/%s/switches/numbers".formatted(id);
    }
}
