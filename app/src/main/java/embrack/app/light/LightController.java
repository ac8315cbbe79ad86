package embrack.app.light;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.frame.Uploads;
import embrack.app.store.Hand;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.chart.PartId;
import embrack.core.edit.ChaseEdit;
import embrack.core.edit.DeskEdit;
import embrack.core.edit.FixtureEdit;
import embrack.core.edit.LookEdit;
import embrack.core.edit.Refused;
import embrack.core.light.Chase;
import embrack.core.light.ChaseId;
import embrack.core.light.FixtureId;
import embrack.core.light.FixtureType;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.Lights;
import embrack.core.light.LookId;
import embrack.core.light.library.Fixtures;
import embrack.core.light.text.FixtureText;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.files.gdtf.GdtfReading;
import embrack.files.gdtf.GdtfWriter;
import embrack.files.lists.ListCsv;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/** The lights room: looks, what hangs, what desks hold. */
@Controller
@RequestMapping("/rigs/{id}/lights")
class LightController {

    private final RigStore rigs;
    private final Reports reports;
    private final Uploads uploads;

    LightController(RigStore rigs, Reports reports, Uploads uploads) {
        this.rigs = rigs;
        this.reports = reports;
        this.uploads = uploads;
    }

    @DrawnOnce
    @GetMapping
    String looks(@PathVariable RigId id, @RequestParam(defaultValue = "") String look, Model page) {
        return looks(id, look, Echo.NONE, page);
    }

    @DrawnOnce
    @GetMapping("/fixtures")
    String fixtures(@PathVariable RigId id, Model page) {
        return fixtures(id, Echo.NONE, page);
    }

    @DrawnOnce
    @GetMapping("/desks")
    String desks(@PathVariable RigId id, Model page) {
        return desks(id, Echo.NONE, page);
    }

    @GetMapping("/patch.csv")
    ResponseEntity<byte[]> patch(@PathVariable RigId id) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"patch.csv\"")
                .body(ListCsv.patch(rigs.load(id).plan().lights()).getBytes(StandardCharsets.UTF_8));
    }

    /** The looks on paper. */
    @GetMapping("/sheet")
    String sheet(@PathVariable RigId id, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.LIGHTS, "/lights/sheet"))
                .addAttribute("sheet", LookSheet.of(stored.plan()));
        return "light/sheet";
    }

    @PostMapping("/looks")
    String addLook(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String text) {
        Plan plan = rigs.edit(id, hand, new LookEdit.AddLook(name, text)).plan();
        return toLook(id, plan.lights().looks().getLast().id());
    }

    @PostMapping("/looks/{look}")
    String changeLook(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable LookId look,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String text) {
        rigs.edit(id, hand, new LookEdit.ChangeLook(look, name, text));
        return toLook(id, look);
    }

    @PostMapping("/looks/{look}/remove")
    String removeLook(@PathVariable RigId id, Hand hand, @PathVariable LookId look) {
        rigs.edit(id, hand, new LookEdit.RemoveLook(look));
        return "redirect:/rigs/%s/lights".formatted(id);
    }

    @PostMapping("/chases")
    String addChase(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String steps,
            @RequestParam(defaultValue = "") String pace) {
        rigs.edit(id, hand, new ChaseEdit.AddChase(name, steps, pace));
        return toChases(id);
    }

    @PostMapping("/chases/{chase}")
    String changeChase(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ChaseId chase,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String steps,
            @RequestParam(defaultValue = "") String pace,
            @RequestParam(defaultValue = "") String at) {
        rigs.edit(id, hand, new ChaseEdit.ChangeChase(chase, name, steps, pace, place(at)));
        return toChases(id);
    }

    @PostMapping("/chases/{chase}/remove")
    String removeChase(@PathVariable RigId id, Hand hand, @PathVariable ChaseId chase) {
        rigs.edit(id, hand, new ChaseEdit.RemoveChase(chase));
        return toChases(id);
    }

    /** "lantern-desk chase-1"; nothing for nowhere. */
    private static Optional<Chase.At> place(String typed) {
        String[] pieces = typed.strip().split(" ", 2);
        return pieces.length < 2
                ? Optional.empty()
                : Optional.of(Refused.at("at", () -> new Chase.At(new DeviceId(pieces[0]), new PartId(pieces[1]))));
    }

    @PostMapping("/fixtures")
    String hang(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "none") FixtureTypeId type,
            @RequestParam(defaultValue = "") String count,
            @RequestParam(defaultValue = "") String group) {
        rigs.edit(id, hand, new FixtureEdit.AddFixtures(type, count, group));
        return toFixtures(id);
    }

    @PostMapping("/fixtures/{fixture}")
    String changeFixture(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable FixtureId fixture,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String group,
            @RequestParam(defaultValue = "") String mode,
            @RequestParam(defaultValue = "") String address) {
        rigs.edit(id, hand, new FixtureEdit.ChangeFixture(fixture, name, group, mode, address));
        return toFixtures(id);
    }

    @PostMapping("/fixtures/{fixture}/hang")
    String moveFixture(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable FixtureId fixture,
            @RequestParam(defaultValue = "") String across,
            @RequestParam(defaultValue = "") String deep,
            @RequestParam(defaultValue = "") String high) {
        rigs.edit(id, hand, new FixtureEdit.HangFixture(fixture, across, deep, high));
        return toFixtures(id);
    }

    @PostMapping("/fixtures/{fixture}/whom")
    String lightWhom(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable FixtureId fixture,
            @RequestParam(defaultValue = "") String whom,
            @RequestParam(defaultValue = "false") boolean byAir) {
        rigs.edit(id, hand, new FixtureEdit.LightWhom(fixture, whom, byAir));
        return toFixtures(id);
    }

    @PostMapping("/fixtures/{fixture}/remove")
    String removeFixture(@PathVariable RigId id, Hand hand, @PathVariable FixtureId fixture) {
        rigs.edit(id, hand, new FixtureEdit.RemoveFixture(fixture));
        return toFixtures(id);
    }

    @PostMapping("/types")
    String describe(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String text) {
        rigs.edit(id, hand, new FixtureEdit.DescribeFixture(name, text));
        return toFixtures(id);
    }

    /** A type from a file; what of it means nothing here is told once. */
    @PostMapping("/types/file")
    String readType(@PathVariable RigId id, Hand hand, @RequestParam MultipartFile file, Model page) {
        GdtfReading read = Refused.at(
                "file",
                () -> uploads.read(
                        file,
                        Uploads.Sort.FIXTURE,
                        "file",
                        bytes -> GdtfReading.of(bytes, new FixtureTypeId("from-a-file"))));
        rigs.edit(id, hand, new FixtureEdit.DescribeFixture(read.type().name().text(), FixtureText.of(read.type())));
        if (read.remarks().isEmpty()) {
            return toFixtures(id);
        }
        page.addAttribute("told", read.remarks());
        return fixtures(id, Echo.NONE, page);
    }

    @GetMapping("/types/{type}.gdtf")
    ResponseEntity<byte[]> writeType(@PathVariable RigId id, @PathVariable FixtureTypeId type) {
        Lights lights = rigs.load(id).plan().lights();
        FixtureType found = lights.types().stream()
                .filter(one -> one.id().equals(type))
                .findFirst()
                .or(() -> Fixtures.find(type))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"%s.gdtf\"".formatted(type))
                .body(GdtfWriter.write(found));
    }

    @PostMapping("/hire")
    String hire(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "none") FixtureTypeId type,
            @RequestParam(defaultValue = "none") FixtureTypeId instead) {
        rigs.edit(id, hand, new FixtureEdit.HireInstead(type, instead));
        return toFixtures(id);
    }

    @PostMapping("/addresses")
    String address(@PathVariable RigId id, Hand hand) {
        rigs.edit(id, hand, new FixtureEdit.AddressAll());
        return toFixtures(id);
    }

    @PostMapping("/desks/{desk}/arrange")
    String arrange(@PathVariable RigId id, Hand hand, @PathVariable DeviceId desk) {
        rigs.edit(id, hand, new DeskEdit.ArrangeLooks(desk));
        return "redirect:/rigs/%s/lights/desks".formatted(id);
    }

    @PostMapping("/desks/{desk}/store")
    String store(@PathVariable RigId id, Hand hand, @PathVariable DeviceId desk) {
        rigs.edit(id, hand, new DeskEdit.StoreLooks(desk));
        return toDesks(id);
    }

    @PostMapping("/desks/{desk}/hold")
    String hold(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable DeviceId desk,
            @RequestParam(defaultValue = "none") String place,
            @RequestParam(defaultValue = "") String look) {
        rigs.edit(
                id,
                hand,
                new DeskEdit.HoldLook(
                        desk,
                        Refused.at("look", () -> DesksPage.place(place)),
                        Optional.of(look).filter(text -> !text.isBlank()).map(LookId::new)));
        return toDesks(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        String path = request.getRequestURI();
        if (path.contains("/lights/looks") || path.contains("/lights/chases")) {
            return looks(id, Refusals.pathVariable(request, "look"), echo, page);
        }
        return path.contains("/lights/desks") ? desks(id, echo, page) : fixtures(id, echo, page);
    }

    private String looks(RigId id, String look, Echo echo, Model page) {
        return shown(id, "", echo, page, "looks", plan -> LooksPage.of(plan, chosen(plan, look, echo)));
    }

    /** The look that was asked for, else the first; none while a new one is being written. */
    private static Optional<LookId> chosen(Plan plan, String look, Echo echo) {
        return look.equals("new") || look.isEmpty() && echo != Echo.NONE
                ? Optional.empty()
                : plan.lights().looks().stream()
                        .filter(one -> one.id().text().equals(look))
                        .findFirst()
                        .or(() -> plan.lights().looks().stream().findFirst())
                        .map(one -> one.id());
    }

    private String fixtures(RigId id, Echo echo, Model page) {
        return shown(id, "/fixtures", echo, page, "fixtures", FixturesPage::of);
    }

    private String desks(RigId id, Echo echo, Model page) {
        return shown(id, "/desks", echo, page, "desks", DesksPage::of);
    }

    private String shown(RigId id, String path, Echo echo, Model page, String name, Function<Plan, Object> view) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.LIGHTS, "/lights" + path))
                .addAttribute("echo", echo)
                .addAttribute(name, view.apply(stored.plan()));
        return "light/" + name;
    }

    private static String toLook(RigId id, LookId look) {
        return "redirect:/rigs/%s/lights?look=%s".formatted(id, look);
    }

    private static String toChases(RigId id) {
        return "redirect:/rigs/%s/lights".formatted(id);
    }

    private static String toFixtures(RigId id) {
        return "redirect:/rigs/%s/lights/fixtures".formatted(id);
    }

    private static String toDesks(RigId id) {
        return "redirect:/rigs/%s/lights/desks".formatted(id);
    }
}
