package embrack.app.folder;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.Hand;
import embrack.app.store.PrintStore;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.Edit;
import embrack.core.edit.FolderEdit;
import embrack.core.edit.Refused;
import embrack.core.name.Slug;
import embrack.core.show.Leaf;
import embrack.core.show.Role;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.word.Phrase;
import embrack.paper.print.FolderPdf;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Function;
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
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The folder: who gets what, and the files. */
@Controller
@RequestMapping("/rigs/{id}")
class FolderController {

    private final RigStore rigs;
    private final Reports reports;
    private final PrintStore prints;
    private final Folders folders;
    private final FolderPdf pdf = new FolderPdf();

    FolderController(RigStore rigs, Reports reports, PrintStore prints, Folders folders) {
        this.rigs = rigs;
        this.reports = reports;
        this.prints = prints;
        this.folders = folders;
    }

    @GetMapping("/folder")
    String folder(@PathVariable RigId id, @RequestParam(defaultValue = "") String reader, Model page) {
        return page(id, reader, Echo.NONE, page);
    }

    private String page(RigId id, String reader, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.FOLDER, "/folder"))
                .addAttribute("revision", stored.revision())
                .addAttribute("echo", echo)
                .addAttribute("page", FolderPage.of(stored, folders.printed(stored), reader));
        return "folder/folder";
    }

    /** Says what somebody gets. */
    @PostMapping("/folder/reader")
    String read(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String was,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "PLAYER") Role role,
            @RequestParam(defaultValue = "") List<Leaf> gets,
            @RequestParam(defaultValue = "") List<String> boards,
            @RequestParam(defaultValue = "") String ears) {
        return edit(id, hand, show -> new FolderEdit.Read(show, was, name, role, gets, boards, ears));
    }

    @PostMapping("/folder/reader/remove")
    String remove(@PathVariable RigId id, Hand hand, @RequestParam(defaultValue = "") String reader) {
        return edit(id, hand, show -> new FolderEdit.ReadNoMore(show, reader));
    }

    /** Gives everybody what they usually get. */
    @PostMapping("/folder/usual")
    String usual(@PathVariable RigId id, Hand hand) {
        return edit(id, hand, FolderEdit.ReadAsUsual::new);
    }

    @PostMapping("/folder/numbers")
    String numbers(@PathVariable RigId id, Hand hand, @RequestParam(defaultValue = "") String numbers) {
        return edit(id, hand, show -> new FolderEdit.Call(show, numbers));
    }

    private String edit(RigId id, Hand hand, Function<ShowId, Edit> edit) {
        ShowId show = rigs.seenBy(id, hand)
                .book()
                .tonight()
                .map(Show::id)
                .orElseThrow(() -> new Refused("show", Phrase.of("core/edit", "no.show-gone")));
        rigs.edit(id, hand, edit.apply(show));
        return "redirect:/rigs/%s/folder".formatted(id);
    }

    /** Remembers that it is printed as it is now: from here on, what changes is marked. */
    @PostMapping("/folder/printed")
    String printed(@PathVariable RigId id, @RequestParam(defaultValue = "0") int revision) {
        int newest = rigs.newestRevision(id);
        prints.printed(id, revision >= 1 && revision <= newest ? revision : newest);
        return "redirect:/rigs/%s/folder".formatted(id);
    }

    @GetMapping("/folder.pdf")
    ResponseEntity<byte[]> pdf(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String reader,
            @RequestParam(defaultValue = "") String leaf,
            @RequestParam(defaultValue = "") String paper,
            @RequestParam(defaultValue = "") String ground,
            @RequestParam(defaultValue = "false") boolean changed,
            HttpServletRequest request) {
        StoredRig stored = rigs.load(id);
        Choices choices = Choices.of(reader, leaf, paper, ground, changed);
        byte[] file = pdf.of(folders.bundle(stored, choices, address(request, id)), choices.paper(), choices.ground());
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(name(stored, reader) + ".pdf")
                                .build()
                                .toString())
                .body(file);
    }

    /** One file to take along, with everything in it. */
    @GetMapping("/folder.html")
    ResponseEntity<byte[]> html(@PathVariable RigId id, @RequestParam(defaultValue = "") String reader) {
        StoredRig stored = rigs.load(id);
        return ResponseEntity.ok()
                .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name(stored, reader) + ".html")
                                .build()
                                .toString())
                .body(folders.oneFile(stored, reader));
    }

    private static String name(StoredRig stored, String reader) {
        return Slug.of(stored.plan().rig().name().text()) + "-folder" + (reader.isEmpty() ? "" : "-" + Slug.of(reader));
    }

    /** Where the page is that leads to this file; empty where only this machine reaches it. */
    private static String address(HttpServletRequest request, RigId id) {
        return request.isSecure()
                ? "%s://%s:%d/rigs/%s/folder"
                        .formatted(request.getScheme(), request.getServerName(), request.getServerPort(), id)
                : "";
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        String was = echo.typed().getOrDefault("was", "");
        boolean isReader = echo.isFor("/rigs/%s/folder/reader".formatted(Refusals.pathVariable(request, "id")));
        return page(RigId.of(Refusals.pathVariable(request, "id")), isReader && was.isEmpty() ? "+" : was, echo, page);
    }
}
