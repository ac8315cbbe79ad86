package embrack.app.past;

import embrack.app.door.Entry;
import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.store.Note;
import embrack.app.store.Notes;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.app.store.crew.Crews;
import embrack.app.store.crew.Member;
import embrack.core.crew.Right;
import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Notes about anything of a rig, to somebody or to all. */
@Controller
@RequestMapping("/rigs/{id}/notes")
class NotesController {

    private final RigStore rigs;
    private final Reports reports;
    private final Notes notes;
    private final Crews crews;

    NotesController(RigStore rigs, Reports reports, Notes notes, Crews crews) {
        this.rigs = rigs;
        this.reports = reports;
        this.notes = notes;
        this.crews = crews;
    }

    /**
     * All notes.
     *
     * @param about what the next one is about
     * @param from the page that somebody comes from: what it shows is what the next one is about
     */
    @GetMapping
    String notes(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String about,
            @RequestHeader(name = HttpHeaders.REFERER, defaultValue = "") String from,
            Entry entry,
            Model page) {
        String what = about.isEmpty() ? NotesPage.shown(rigs.load(id), from) : about;
        return show(id, what, entry, Echo.NONE, page);
    }

    @PostMapping
    String add(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String about,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String whom,
            Entry entry) {
        if (!whom.isEmpty() && !people(id).contains(whom)) {
            throw new Refused("whom", Because.of("no.nobody-of-that-name"));
        }
        notes.add(id, about, words, entry.name(), whom);
        return back(id);
    }

    @PostMapping("/{note:\\d{1,18}}/done")
    String done(@PathVariable RigId id, @PathVariable long note, Entry entry) {
        check(id, note, entry);
        notes.done(id, note, entry.name());
        return back(id);
    }

    @PostMapping("/{note:\\d{1,18}}/reopen")
    String reopen(@PathVariable RigId id, @PathVariable long note, Entry entry) {
        check(id, note, entry);
        notes.reopen(id, note);
        return back(id);
    }

    /** Whoever wrote it, to whom it is, and who plans may say that it is done. */
    private void check(RigId id, long number, Entry entry) {
        Note note = notes.find(id, number).orElseThrow(() -> new Refused("note", Because.of("no.note-gone")));
        if (!note.isSettledBy(entry.name(), entry.may(Right.EDIT, id))) {
            throw new Refused("note", Because.of("no.note-of-others"));
        }
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        return show(RigId.of(Refusals.pathVariable(request, "id")), "", Entry.of(request), echo, page);
    }

    private String show(RigId id, String about, Entry entry, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.outside(stored, reports.of(stored), "/notes"))
                .addAttribute(
                        "notes",
                        NotesPage.of(stored, notes.of(id), people(id), about, entry.name(), entry.may(Right.EDIT, id)))
                .addAttribute("echo", echo);
        return "past/notes";
    }

    private List<String> people(RigId id) {
        return crews.members(rigs.ownerOf(id)).stream().map(Member::name).toList();
    }

    private static String back(RigId id) {
        return "redirect:/rigs/%s/notes".formatted(id);
    }
}
