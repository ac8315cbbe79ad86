package embrack.app.rigs;

import embrack.app.door.Entry;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.frame.Uploads;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.Notes;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.app.store.crew.CrewId;
import embrack.core.edit.Refused;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.files.json.UnreadableFile;
import embrack.files.plan.Edition;
import embrack.files.plan.PlanFile;
import embrack.paper.print.OneFile;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The list of rigs: new, import, export, delete, bring back. */
@Controller
class RigsController {

    private static final int MOST_PROBLEMS_SHOWN = 12;

    private final RigStore rigs;
    private final Notes notes;
    private final Uploads uploads;

    RigsController(RigStore rigs, Notes notes, Uploads uploads) {
        this.rigs = rigs;
        this.notes = notes;
        this.uploads = uploads;
    }

    @GetMapping("/")
    String list(@RequestParam(required = false) Long deleted, Entry entry, Model page) {
        page.addAttribute("echo", Echo.NONE).addAttribute("problems", List.of()).addAttribute("deleted", deleted);
        return show(entry, page);
    }

    @PostMapping("/rigs")
    String create(@RequestParam(defaultValue = "") String name, CrewId crew, Hand hand) {
        Plan plan = Plan.empty(label(name));
        return "redirect:/rigs/%s/gear".formatted(rigs.create(crew, hand, plan, "New rig"));
    }

    @PostMapping("/rigs/import")
    String importPlan(@RequestParam MultipartFile file, CrewId crew, Hand hand) {
        return "redirect:/rigs/%s/gear"
                .formatted(rigs.create(
                        crew,
                        hand,
                        uploads.read(file, Uploads.Sort.PLAN, "file", bytes -> PlanFile.read(OneFile.planIn(bytes))),
                        "Import a plan file"));
    }

    @GetMapping("/rigs/{id}")
    String enter(@PathVariable RigId id) {
        return "redirect:/rigs/%s/gear".formatted(id);
    }

    @GetMapping("/rigs/{id}/plan.json")
    ResponseEntity<String> export(@PathVariable RigId id) {
        StoredRig stored = rigs.load(id);
        String name = stored.plan()
                .rig()
                .name()
                .text()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename((name.isEmpty() ? "rig" : name) + ".json")
                                .build()
                                .toString())
                .contentType(new MediaType("application", "json", StandardCharsets.UTF_8))
                .body(PlanFile.write(stored.plan(), new Edition(rigs.edition(id).rig(), stored.revision())));
    }

    @PostMapping("/rigs/{id}/delete")
    String delete(@PathVariable RigId id) {
        rigs.delete(id);
        return "redirect:/?deleted=" + id;
    }

    @PostMapping("/rigs/{id}/restore")
    String restore(@PathVariable RigId id) {
        rigs.restore(id);
        return "redirect:/";
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        page.addAttribute("echo", Refusals.answer(refused, request, response)).addAttribute("problems", List.of());
        return show(Entry.of(request), page);
    }

    @ExceptionHandler
    String unreadable(UnreadableFile unreadable, HttpServletRequest request, HttpServletResponse response, Model page) {
        List<String> problems =
                unreadable.problems().stream().map(Object::toString).toList();
        page.addAttribute(
                        "echo",
                        Refusals.answer(
                                new Refused(
                                        "file",
                                        problems.size() == 1
                                                ? Because.of("no.unreadable")
                                                : Because.of("no.mistakes").with("count", problems.size())),
                                request,
                                response))
                .addAttribute(
                        "problems", problems.stream().limit(MOST_PROBLEMS_SHOWN).toList());
        return show(Entry.of(request), page);
    }

    private String show(Entry entry, Model page) {
        page.addAttribute(
                        "rigs",
                        entry.person()
                                .map(person -> rigs.visibleTo(person.id()))
                                .orElseGet(rigs::list))
                .addAttribute("crews", entry.crews())
                .addAttribute("waiting", entry.person().isPresent() ? notes.waitingFor(entry.name()) : Map.of())
                .addAttribute("schema", PlanFile.SCHEMA);
        return "rigs/list";
    }

    private static TapeLabel label(String name) {
        return Refused.at("name", () -> TapeLabel.parse(name));
    }
}
