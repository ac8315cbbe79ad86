package embrack.app.models;

import embrack.app.door.Entry;
import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.frame.Said;
import embrack.app.frame.Uploads;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.ModelStore;
import embrack.app.store.NoSuchModel;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.CrewId;
import embrack.core.crew.Right;
import embrack.core.edit.Refused;
import embrack.core.gear.Implementation;
import embrack.core.gear.Memory;
import embrack.core.gear.ModelId;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import embrack.core.name.TapeLabel;
import embrack.files.json.UnreadableFile;
import embrack.files.model.ModelFile;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The list of models: search, what can do what, new, import, copy, delete. */
@Controller
class ModelsController {

    private final ModelStore models;
    private final RigStore rigs;
    private final Uploads uploads;

    ModelsController(ModelStore models, RigStore rigs, Uploads uploads) {
        this.models = models;
        this.rigs = rigs;
        this.uploads = uploads;
    }

    @DrawnOnce
    @GetMapping("/models")
    String list(
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "") String can,
            @RequestParam(required = false) Long rig,
            @RequestParam(required = false) String deleted,
            CrewId crew,
            Model page) {
        page.addAttribute("deleted", deleted);
        return show(crew, find, can, Optional.ofNullable(rig), Echo.NONE, List.of(), page);
    }

    @PostMapping("/models")
    String create(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String kind,
            @RequestParam(required = false) Long rig,
            CrewId crew,
            Hand hand) {
        TapeLabel label = label(name);
        embrack.core.gear.Model blank = new embrack.core.gear.Model(
                new ModelId("new"),
                label,
                Drafts.kind(kind),
                Sockets.of(),
                Surface.BLANK,
                Memory.of(),
                Implementation.NOTHING,
                Optional.empty());
        return "redirect:/models/%s/edit%s"
                .formatted(models.create(crew, hand, blank, "New model").id(), RigLink.query("?", rig));
    }

    @PostMapping("/model-files")
    String importModel(@RequestParam MultipartFile file, CrewId crew, Hand hand) {
        embrack.core.gear.Model read = uploads.read(file, Uploads.Sort.MODEL, "file", ModelFile::read);
        return "redirect:/models/"
                + models.createNumbered(crew, hand, read, "Import a model file").id();
    }

    @PostMapping("/models/{id}/copy")
    String copy(@PathVariable String id, @RequestParam(required = false) Long rig, CrewId crew, Hand hand) {
        embrack.core.gear.Model original =
                models.find(crew, id).orElseThrow(() -> new Refused("name", Because.of("no.model-gone")));
        embrack.core.gear.Model kept = models.createNumbered(crew, hand, original, "Copy of " + original.name());
        return "redirect:/models/%s/edit%s".formatted(kept.id(), RigLink.query("?", rig));
    }

    /** The other crews that whoever asks plans for. */
    @GetMapping("/models/{id}/to")
    String others(@PathVariable String id, CrewId crew, Entry entry, Model page) {
        return give(id, crew, entry, Echo.NONE, page);
    }

    private String give(String id, CrewId crew, Entry entry, Echo echo, Model page) {
        page.addAttribute(
                        "name",
                        models.find(crew, id).map(model -> model.name().text()).orElseThrow(() -> new NoSuchModel(id)))
                .addAttribute("at", "/models/" + id)
                .addAttribute("echo", echo)
                .addAttribute("others", others(crew, entry));
        return "models/give";
    }

    private static Map<CrewId, String> others(CrewId crew, Entry entry) {
        Map<CrewId, String> others = new LinkedHashMap<>(entry.crews());
        others.keySet().removeIf(one -> one.equals(crew) || !entry.to(one).contains(Right.EDIT));
        return others;
    }

    /** Gives a copy to another crew. */
    @PostMapping("/models/{id}/to")
    String give(
            @PathVariable String id,
            @RequestParam(defaultValue = "") String to,
            CrewId crew,
            Entry entry,
            Hand hand,
            HttpServletRequest request,
            HttpServletResponse response,
            Model page) {
        Optional<CrewId> other = others(crew, entry).keySet().stream()
                .filter(one -> one.toString().equals(to))
                .findFirst();
        if (other.isEmpty()) {
            var refused = new Refused("to", Because.of("no.none-of-the-list"));
            return give(id, crew, entry, Refusals.answer(refused, request, response), page);
        }
        embrack.core.gear.Model given =
                models.find(crew, id).orElseThrow(() -> new Refused("name", Because.of("no.model-gone")));
        models.createNumbered(other.get(), hand, given, "Given by another crew");
        Said.to(response, "%s has a copy of it now.".formatted(entry.crews().getOrDefault(other.get(), "")));
        return "redirect:/models/" + id;
    }

    @PostMapping("/models/{id}/delete")
    String delete(@PathVariable ModelId id, CrewId crew) {
        try {
            models.delete(crew, id);
        } catch (NoSuchModel e) {
            throw new Refused("name", Because.of("no.model-ships"));
        }
        return "redirect:/models?deleted=" + id;
    }

    @PostMapping("/models/{id}/restore")
    String restore(@PathVariable ModelId id, CrewId crew) {
        models.restore(crew, id);
        return "redirect:/models/" + id;
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return show(
                Entry.of(request).crew(),
                "",
                "",
                Optional.empty(),
                Refusals.answer(refused, request, response),
                List.of(),
                page);
    }

    @ExceptionHandler
    String unreadable(UnreadableFile unreadable, HttpServletRequest request, HttpServletResponse response, Model page) {
        int count = unreadable.problems().size();
        var refused = new Refused(
                "file",
                count == 1
                        ? Because.of("no.unreadable")
                        : Because.of("no.mistakes").with("count", count));
        return show(
                Entry.of(request).crew(),
                "",
                "",
                Optional.empty(),
                Refusals.answer(refused, request, response),
                unreadable.problems().stream().map(Object::toString).toList(),
                page);
    }

    private String show(
            CrewId crew, String find, String can, Optional<Long> rig, Echo echo, List<String> problems, Model page) {
        page.addAttribute("models", ModelsPage.of(models.own(crew), models.all(crew), find, can))
                .addAttribute("echo", echo)
                .addAttribute("problems", problems)
                .addAttribute("schema", ModelFile.SCHEMA)
                .addAttribute(
                        "rig",
                        rig.map(RigId::new).map(rigs::load).map(RigLink::of).orElse(null));
        return "models/list";
    }

    private static TapeLabel label(String name) {
        return Refused.at("name", () -> TapeLabel.parse(name));
    }
}
