package embrack.app.models;

import embrack.app.door.Entry;
import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.frame.Uploads;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.ModelRevision;
import embrack.app.store.ModelStore;
import embrack.app.store.NoSuchModel;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.CrewId;
import embrack.core.edit.Refused;
import embrack.core.name.TapeLabel;
import embrack.files.chart.ChartCsv;
import embrack.files.csv.CsvSheet;
import embrack.files.json.UnreadableFile;
import embrack.files.model.ModelFile;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** One model: its page, its chart to print, its files, its editor. */
@Controller
@RequestMapping("/models/{id}")
class ModelController {

    private final ModelStore models;
    private final RigStore rigs;
    private final Uploads uploads;

    ModelController(ModelStore models, RigStore rigs, Uploads uploads) {
        this.models = models;
        this.rigs = rigs;
        this.uploads = uploads;
    }

    @DrawnOnce
    @GetMapping
    String show(
            CrewId crew,
            @PathVariable String id,
            @RequestParam(required = false) Long rig,
            @RequestParam(defaultValue = "") String press,
            @RequestParam(defaultValue = "") String arrive,
            @RequestParam(required = false) String kept,
            Model page) {
        embrack.core.gear.Model model = find(crew, id);
        page.addAttribute("kept", kept == null ? "" : "yes");
        List<ModelRevision> revisions = models.revisions(crew, model.id());
        page.addAttribute("model", ModelPage.of(model, revisions))
                .addAttribute("trial", TrialView.of(model.chart(), press, arrive))
                .addAttribute(
                        "usedBy",
                        rigs.using(crew, model.id()).stream().map(RigLink::of).toList())
                .addAttribute("echo", Echo.NONE)
                .addAttribute(
                        "rig",
                        Optional.ofNullable(rig)
                                .map(RigId::new)
                                .map(rigs::load)
                                .map(RigLink::of)
                                .orElse(null));
        return "models/model";
    }

    @GetMapping("/print")
    String print(CrewId crew, @PathVariable String id, Model page) {
        embrack.core.gear.Model model = find(crew, id);
        page.addAttribute("model", ModelPage.of(model, models.revisions(crew, model.id())));
        return "models/print";
    }

    @GetMapping("/model.json")
    ResponseEntity<String> json(CrewId crew, @PathVariable String id) {
        return file(
                id + ".json",
                new MediaType("application", "json", StandardCharsets.UTF_8),
                ModelFile.write(find(crew, id)));
    }

    @GetMapping("/chart.csv")
    ResponseEntity<String> csv(CrewId crew, @PathVariable String id) {
        return file(
                id + "-chart.csv",
                new MediaType("text", "csv", StandardCharsets.UTF_8),
                ChartCsv.write(find(crew, id).chart()));
    }

    @GetMapping("/edit")
    String edit(
            CrewId crew,
            @PathVariable String id,
            @RequestParam(required = false) Integer from,
            @RequestParam(required = false) Long rig,
            Model page) {
        page.addAttribute("rig", rig);
        List<ModelRevision> revisions = models.revisions(crew, find(crew, id).id());
        if (revisions.isEmpty()) {
            return "redirect:/models/" + id;
        }
        ModelRevision shown = revisions.stream()
                .filter(r -> from != null && r.n() == from)
                .findFirst()
                .orElse(revisions.getFirst());
        return editor(crew, id, EditorPage.Draft.of(shown.doc()), Echo.NONE, List.of(), page);
    }

    /** What is made of the texts while somebody types. */
    @PostMapping("/check")
    String check(CrewId crew, @PathVariable String id, @ModelAttribute DraftForm form, Model page) {
        page.addAttribute("reading", EditorPage.reading(form.draft(), form.press(), form.arrive()));
        return "models/edit :: reading";
    }

    /**
     * What a board is, by what came when it was pressed; nothing is kept yet.
     *
     * @param goes a line for each time the foot moved: bytes in hexadecimal, a blank between messages, or "-"
     */
    @PostMapping("/described")
    String described(
            CrewId crew,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String switches,
            @RequestParam(defaultValue = "") String columns,
            @RequestParam(defaultValue = "A") String banks,
            @RequestParam(defaultValue = "") String goes,
            @RequestParam(defaultValue = "") String box,
            Model page) {
        page.addAttribute("described", DescribedView.of(new DescribedView.Asked(switches, columns, banks, goes, box)));
        return "models/edit :: described";
    }

    /** A chart from a CSV file, put into the editor; nothing is kept yet. */
    @PostMapping("/chart.csv")
    String importCsv(
            CrewId crew,
            @PathVariable String id,
            @RequestParam(required = false) Long rig,
            @RequestParam MultipartFile csv,
            @ModelAttribute DraftForm form,
            HttpServletRequest request,
            HttpServletResponse response,
            Model page) {
        page.addAttribute("rig", rig);
        try {
            EditorPage.Draft draft = form.draft();
            String chart = uploads.read(csv, Uploads.Sort.CSV, "csv", bytes -> ChartCsv.read(CsvSheet.text(bytes)));
            return editor(
                    crew,
                    id,
                    new EditorPage.Draft(draft.name(), draft.kind(), draft.box(), chart, draft.reality()),
                    Echo.NONE,
                    List.of(),
                    page);
        } catch (UnreadableFile e) {
            return editor(
                    crew,
                    id,
                    form.draft(),
                    Refusals.answer(new Refused("csv", Because.of("no.unreadable")), request, response),
                    e.problems().stream().map(Object::toString).toList(),
                    page);
        }
    }

    /** Keeps a change; if rigs use the model, shows first what that does to them. */
    @PostMapping
    String save(
            CrewId crew,
            @PathVariable String id,
            Hand hand,
            @ModelAttribute DraftForm form,
            @RequestParam(required = false) Long rig,
            Model page) {
        embrack.core.gear.Model changed = changed(crew, id, form);
        var using = rigs.using(crew, changed.id()).stream()
                .filter(other -> other.plan().rig().models().stream().noneMatch(changed::equals))
                .toList();
        if (using.isEmpty() || changed.equals(find(crew, id))) {
            models.save(crew, changed, form.basedOnNumber(), summary(crew, id, changed), List.of(), hand);
            return "redirect:/models/%s?kept%s".formatted(id, RigLink.query("&", rig));
        }
        page.addAttribute("touched", TouchedPage.of(changed, using))
                .addAttribute("draft", form.draft())
                .addAttribute("rig", rig)
                .addAttribute("basedOn", form.basedOnText())
                .addAttribute("echo", Echo.NONE);
        return "models/touched";
    }

    /** Keeps a change and has the chosen rigs follow it. */
    @PostMapping("/apply")
    String apply(
            CrewId crew,
            @PathVariable String id,
            Hand hand,
            @ModelAttribute DraftForm form,
            @RequestParam(required = false) Long rig,
            @RequestParam(required = false) List<Long> rigs) {
        embrack.core.gear.Model changed = changed(crew, id, form);
        models.save(
                crew,
                changed,
                form.basedOnNumber(),
                summary(crew, id, changed),
                Optional.ofNullable(rigs).orElse(List.of()).stream()
                        .map(RigId::new)
                        .toList(),
                hand);
        return "redirect:/models/%s?kept%s".formatted(id, RigLink.query("&", rig));
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        CrewId crew = Entry.of(request).crew();
        String id = Refusals.pathVariable(request, "id");
        if (models.find(crew, id).isEmpty()) {
            Refusals.answer(refused, request, response);
            return "redirect:/models";
        }
        return editor(
                crew, id, DraftForm.of(request).draft(), Refusals.answer(refused, request, response), List.of(), page);
    }

    private embrack.core.gear.Model changed(CrewId crew, String id, DraftForm form) {
        TapeLabel name = named(form.draft().name());
        if (EditorPage.reading(form.draft(), "", "").hasErrors()) {
            throw new Refused("box", Because.of("no.mistakes-in-texts"));
        }
        return Drafts.model(form.draft(), find(crew, id).id(), name);
    }

    private int newest(CrewId crew, String id) {
        return models.revisions(crew, find(crew, id).id()).stream()
                .mapToInt(ModelRevision::n)
                .max()
                .orElse(0);
    }

    private static TapeLabel named(String typed) {
        return Refused.at("name", () -> TapeLabel.parse(typed));
    }

    private String summary(CrewId crew, String id, embrack.core.gear.Model changed) {
        embrack.core.gear.Model before = find(crew, id);
        boolean chart = !before.chart().equals(changed.chart());
        boolean box = !EditorPage.Draft.of(before)
                .box()
                .equals(EditorPage.Draft.of(changed).box());
        return chart && box ? "Change box and chart" : chart ? "Change the chart" : box ? "Change the box" : "Rename";
    }

    private String editor(
            CrewId crew, String id, EditorPage.Draft draft, Echo echo, List<String> problems, Model page) {
        page.addAttribute("editor", EditorPage.of(id, find(crew, id).name().text(), newest(crew, id), draft))
                .addAttribute("echo", echo)
                .addAttribute("problems", problems);
        return "models/edit";
    }

    private embrack.core.gear.Model find(CrewId crew, String id) {
        return models.find(crew, id).orElseThrow(() -> new NoSuchModel(id));
    }

    private static ResponseEntity<String> file(String name, MediaType type, String body) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .contentType(type)
                .body(body);
    }
}
