package embrack.app.gear;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.NotInRig;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.Because;
import embrack.app.store.Edited;
import embrack.app.store.Hand;
import embrack.app.store.ModelStore;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.app.store.TickStore;
import embrack.core.begin.Beginning;
import embrack.core.begin.Beginnings;
import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.check.Report;
import embrack.core.edit.GearEdit;
import embrack.core.edit.HandEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.SongEdit;
import embrack.core.edit.WalkEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Facts;
import embrack.core.gear.SettingId;
import embrack.core.offer.BoxOffers;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Sheets;
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

/** The gear room. */
@Controller
@RequestMapping("/rigs/{id}/gear")
class GearController {

    private final RigStore rigs;
    private final Reports reports;
    private final ModelStore models;
    private final TickStore ticks;

    GearController(RigStore rigs, Reports reports, ModelStore models, TickStore ticks) {
        this.rigs = rigs;
        this.reports = reports;
        this.models = models;
        this.ticks = ticks;
    }

    @DrawnOnce
    @GetMapping
    String list(@PathVariable RigId id, Model page) {
        return show(id, Optional.empty(), Echo.NONE, page);
    }

    @DrawnOnce
    @GetMapping("/{device}")
    String box(@PathVariable RigId id, @PathVariable String device, Model page) {
        StoredRig stored = rigs.load(id);
        return stored.plan().rig().devices().stream()
                        .noneMatch(d -> d.id().text().equals(device))
                ? NotInRig.instead("box", id, "/gear", Echo.NONE)
                : show(id, Optional.of(new DeviceId(device)), Echo.NONE, page);
    }

    @PostMapping
    String add(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String model) {
        Edited edited = rigs.edit(id, hand, new GearEdit.AddDevice(name, chosen(id, model)));
        return toBox(id, edited.plan().rig().devices().getLast().id());
    }

    /** Boxes that go by such words, to take one. */
    @GetMapping(params = "find")
    String find(
            @PathVariable RigId id,
            @RequestParam String find,
            @RequestParam(defaultValue = "any") String who,
            Model page) {
        page.addAttribute("path", "/rigs/" + id)
                .addAttribute("rig", id)
                .addAttribute("find", find)
                .addAttribute(
                        "offers",
                        BoxOffers.find(models.all(rigs.ownerOf(id)), BoxOffers.Role.of(who), find).stream()
                                .map(model -> new GearPage.Offer(
                                        model.id().text(), model.name().text(), Facts.line(model)))
                                .toList());
        return "gear/offers";
    }

    /** A box of a model is taken, called by its usual job. */
    @PostMapping("/take")
    String take(@PathVariable RigId id, Hand hand, @RequestParam(defaultValue = "") String model) {
        rigs.edit(id, hand, new GearEdit.AddUsual(chosen(id, model)));
        return "redirect:/rigs/%s/gear".formatted(id);
    }

    @PostMapping("/join")
    String join(@PathVariable RigId id, Hand hand, @RequestParam DeviceId sender, @RequestParam DeviceId receiver) {
        rigs.edit(id, hand, new WiringEdit.JoinUp(sender, receiver));
        return "redirect:/rigs/%s/gear".formatted(id);
    }

    /** An empty rig begins with a way of working. */
    @PostMapping("/begin")
    String begin(@PathVariable RigId id, Hand hand, @RequestParam(defaultValue = "") String way) {
        Beginning beginning =
                Beginnings.find(way).orElseThrow(() -> new Refused("begin", Because.of("no.no-such-beginning")));
        rigs.edit(id, hand, beginning.edit());
        return "redirect:/rigs/%s/switches".formatted(id);
    }

    /** A rig begins with the songs of an evening. */
    @PostMapping("/songs")
    String beginWithSongs(@PathVariable RigId id, Hand hand, @RequestParam(defaultValue = "") String songs) {
        rigs.edit(id, hand, new SongEdit.SetList(songs));
        return "redirect:/rigs/%s/order".formatted(id);
    }

    @PostMapping("/name")
    String renameRig(@PathVariable RigId id, Hand hand, @RequestParam(defaultValue = "") String name) {
        rigs.edit(id, hand, new GearEdit.RenameRig(name));
        return "redirect:/rigs/%s/gear".formatted(id);
    }

    @PostMapping("/{device}/name")
    String rename(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String name) {
        rigs.edit(id, hand, new GearEdit.RenameDevice(device, name));
        return toBox(id, device);
    }

    @PostMapping("/{device}/model")
    String swap(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String model) {
        rigs.edit(id, hand, new GearEdit.SwapHardware(device, chosen(id, model)));
        return toBox(id, device);
    }

    /** The rig takes the description that the models have of this box. */
    @PostMapping("/{device}/describe-anew")
    String describeAnew(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String model) {
        rigs.edit(id, hand, new GearEdit.DescribeAnew(device, chosen(id, model)));
        return toBox(id, device);
    }

    /** The models take the description that the rig has of this box. */
    @PostMapping("/{device}/keep-model")
    String keepModel(@PathVariable RigId id, @PathVariable DeviceId device, Hand hand) {
        embrack.core.gear.Model own = rigs.load(id).plan().rig().model(device);
        return "redirect:/models/%s?rig=%s"
                .formatted(
                        models.createNumbered(rigs.ownerOf(id), hand, own, "Kept from a rig")
                                .id(),
                        id);
    }

    @PostMapping("/{device}/settings/{setting}")
    String set(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @PathVariable SettingId setting,
            @RequestParam(defaultValue = "") String value) {
        rigs.edit(id, hand, new GearEdit.ChangeSetting(device, setting, value));
        return toBox(id, device);
    }

    @PostMapping("/{device}/parts/{part}")
    String label(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @PathVariable PartId part,
            @RequestParam(defaultValue = "") String name) {
        rigs.edit(id, hand, new GearEdit.LabelPart(device, part, name));
        return toBox(id, device);
    }

    /** A program of the table of this box chooses something else. */
    @PostMapping("/{device}/table")
    String chooseProgram(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String program,
            @RequestParam(defaultValue = "") String choice) {
        rigs.edit(id, hand, new WalkEdit.ChooseProgram(device, program, choice));
        return toBox(id, device);
    }

    /** People set a part at this box before the first press. */
    @PostMapping("/{device}/doors")
    String setAtDoors(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String state) {
        rigs.edit(id, hand, new HandEdit.SetAtDoors(device, state));
        return toBox(id, device);
    }

    @PostMapping("/{device}/doors/leave")
    String leaveAtDoors(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String action) {
        Action left = Refused.at("state", Because.of("no.no-action"), () -> Action.parse(action));
        rigs.edit(id, hand, new HandEdit.LeaveAtDoors(device, left));
        return toBox(id, device);
    }

    /** People move a part of this box at it. */
    @PostMapping("/{device}/by-hand")
    String workByHand(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "") String part) {
        rigs.edit(id, hand, new HandEdit.WorkByHand(device, part));
        return toBox(id, device);
    }

    @PostMapping("/{device}/by-hand/leave")
    String leaveToMessages(
            @PathVariable RigId id, Hand hand, @PathVariable DeviceId device, @RequestParam PartId part) {
        rigs.edit(id, hand, new HandEdit.LeaveToMessages(device, part));
        return toBox(id, device);
    }

    @PostMapping("/{device}/remove")
    String remove(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId device,
            @RequestParam(defaultValue = "false") boolean withSteps) {
        rigs.edit(id, hand, new GearEdit.RemoveDevice(device, withSteps));
        return "redirect:/rigs/%s/gear".formatted(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        Optional<DeviceId> device = Optional.of(Refusals.pathVariable(request, "device"))
                .filter(d -> !d.isEmpty())
                .map(DeviceId::new);
        Echo echo = hasForm(rigs.load(id).plan().rig(), device, request)
                ? Refusals.answer(refused, request, response)
                : Refusals.answerWithoutForm(refused, request, response, page);
        return show(id, device, echo, page);
    }

    /** Whether the box, and the setting or part, that the request was about is still there. */
    private static boolean hasForm(Rig rig, Optional<DeviceId> device, HttpServletRequest request) {
        String setting = Refusals.pathVariable(request, "setting");
        String part = Refusals.pathVariable(request, "part");
        return device.isEmpty()
                || rig.find(device.get()).isPresent()
                        && (setting.isEmpty()
                                || rig.model(device.get())
                                        .setting(new SettingId(setting))
                                        .isPresent())
                        && (part.isEmpty()
                                || rig.model(device.get())
                                        .part(new PartId(part))
                                        .isPresent());
    }

    private String show(RigId id, Optional<DeviceId> selected, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        Report report = reports.of(stored);
        Progress progress = Progress.of(Sheets.of(report), ticks.all(id));
        page.addAttribute(
                        "frame",
                        Frame.of(
                                stored,
                                report,
                                Room.GEAR,
                                "/gear" + selected.map(d -> "/" + d).orElse("")))
                .addAttribute("gear", GearPage.of(report, progress, models.all(rigs.ownerOf(id)), selected))
                .addAttribute("echo", echo);
        return "gear/gear";
    }

    private embrack.core.gear.Model chosen(RigId id, String model) {
        return models.find(rigs.ownerOf(id), model)
                .orElseThrow(() -> new Refused("model", Because.of("no.no-model-chosen")));
    }

    private static String toBox(RigId id, DeviceId device) {
        return "redirect:/rigs/%s/gear/%s".formatted(id, device);
    }
}
