package embrack.app.switches;

import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.frame.Spoken;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.ModelStore;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.check.Report;
import embrack.core.edit.Refused;
import embrack.core.effort.Candidate;
import embrack.core.effort.Links;
import embrack.core.effort.Swap;
import embrack.core.effort.Work;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A box died: what can take over, what has to be programmed, and whether there is time. */
@Controller
@RequestMapping("/rigs/{id}/switches/swap")
class SwapController {

    /** What stands for a box of the rig in the list of replacements, before its id. */
    private static final String OWNED = "box:";

    private final RigStore rigs;
    private final ModelStore models;
    private final SwitchRoom room;

    SwapController(RigStore rigs, ModelStore models, SwitchRoom room) {
        this.rigs = rigs;
        this.models = models;
        this.room = room;
    }

    @GetMapping
    String show(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String box,
            @RequestParam(defaultValue = "") String with,
            @RequestParam(defaultValue = "20") int seconds,
            @RequestParam(defaultValue = "5") int left,
            @RequestParam(defaultValue = "8") int knobs,
            @RequestParam(defaultValue = "10") int patches,
            Model page) {
        Report report = room.enter(id, "swap", Echo.NONE, page);
        Plan plan = report.plan();
        Optional<DeviceId> dead = plan.rig().devices().stream()
                .map(Device::id)
                .filter(d -> d.text().equals(box))
                .findFirst();
        SwapPage.Rate rate = new SwapPage.Rate(Math.clamp(seconds, 1, 600), Math.clamp(left, 0, 600));
        Optional<Swap> swap =
                dead.filter(d -> !with.isEmpty()).flatMap(d -> swap(id, plan, d, with, rate.seconds(), page));
        SwapPage view = swap.isPresent()
                ? SwapPage.of(plan, dead, with, rate, List.of())
                : SwapPage.of(plan, dead, "", rate, candidates(id, plan, dead));
        var links = new Links(Math.clamp(knobs, 0, 128), Math.clamp(patches, 0, 128));
        page.addAttribute(
                        "swap",
                        swap.map(s -> view.with(s, words(id, plan, with))).orElse(view))
                .addAttribute("knobs", links.controls())
                .addAttribute("patches", links.patches())
                .addAttribute("straight", new Work(links.straight(), rate.seconds()))
                .addAttribute("layer", new Work(links.throughLayer(), rate.seconds()));
        return "switches/swap";
    }

    @PostMapping
    String make(@PathVariable RigId id, Hand hand, @RequestParam DeviceId box, @RequestParam String with) {
        rigs.edit(
                id,
                hand,
                with.startsWith(OWNED)
                        ? Swap.edit(box, new DeviceId(with.substring(OWNED.length())))
                        : Swap.edit(box, chosen(id, with)));
        return "redirect:/rigs/%s/sheets?left=true".formatted(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        Refusals.answer(refused, request, response);
        page.addAttribute("notice", Spoken.words().say(refused.phrase()));
        return show(id, "", "", Work.USUAL_SECONDS, 5, 8, 10, page);
    }

    private Optional<Swap> swap(RigId id, Plan plan, DeviceId dead, String with, int seconds, Model page) {
        try {
            return Optional.of(of(id, plan, dead, with, seconds));
        } catch (Refused refused) {
            page.addAttribute("notice", Spoken.words().say(refused.phrase()));
            return Optional.empty();
        }
    }

    private String words(RigId id, Plan plan, String with) {
        return with.startsWith(OWNED)
                ? "%s, of this rig".formatted(plan.rig().name(new DeviceId(with.substring(OWNED.length()))))
                : chosen(id, with).name().text();
    }

    private Swap of(RigId id, Plan plan, DeviceId dead, String with, int seconds) {
        return with.startsWith(OWNED)
                ? Swap.of(plan, dead, new DeviceId(with.substring(OWNED.length())), seconds)
                : Swap.of(plan, dead, chosen(id, with), seconds);
    }

    private embrack.core.gear.Model chosen(RigId id, String model) {
        return models.find(rigs.ownerOf(id), model)
                .orElseThrow(() -> new Refused("with", Because.of("no.no-hardware-chosen")));
    }

    private List<SwapPage.Candidate> candidates(RigId id, Plan plan, Optional<DeviceId> dead) {
        return dead.map(box -> Candidate.of(plan, box, models.all(rigs.ownerOf(id)))).orElse(List.of()).stream()
                .map(c -> new SwapPage.Candidate(c.key(), c.words(plan), c.does(), c.of()))
                .toList();
    }
}
