package embrack.app.folder;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.frame.Uploads;
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
import embrack.core.show.ShowId;
import embrack.files.json.UnreadableFile;
import embrack.files.lists.TickFile;
import embrack.paper.print.FolderPdf;
import embrack.paper.type.LabelSize;
import embrack.paper.type.Paper;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The folder: who gets what, and the files. */
@Controller
@RequestMapping("/rigs/{id}")
class FolderController {

    private final RigStore rigs;
    private final Reports reports;
    private final PrintStore prints;
    private final Folders folders;
    private final AllFolders all;
    private final Uploads uploads;
    private final FolderPdf pdf = new FolderPdf();

    FolderController(
            RigStore rigs, Reports reports, PrintStore prints, Folders folders, AllFolders all, Uploads uploads) {
        this.rigs = rigs;
        this.reports = reports;
        this.prints = prints;
        this.folders = folders;
        this.all = all;
        this.uploads = uploads;
    }

    @GetMapping("/folder")
    String folder(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String reader,
            @RequestParam(defaultValue = "-1") int taken,
            @RequestParam(defaultValue = "0") int known,
            @RequestParam(defaultValue = "") List<String> older,
            @RequestParam(defaultValue = "0") int unknown,
            Model page) {
        if (taken >= 0) {
            Home home = new Home(taken, known, older, unknown);
            page.addAttribute("home", folders.said(rigs.load(id), home));
        }
        return page(id, reader, Echo.NONE, page);
    }

    private String page(RigId id, String reader, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.FOLDER, "/folder"))
                .addAttribute("revision", stored.revision())
                .addAttribute("echo", echo)
                .addAttribute("all", all.made(id).orElse(null))
                .addAttribute("page", FolderPage.of(stored, folders.printed(stored), reader));
        return "folder/folder";
    }

    /** Says what somebody gets. */
    @PostMapping("/folder/reader")
    String read(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam ShowId show,
            @RequestParam(defaultValue = "") String was,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "PLAYER") Role role,
            @RequestParam(defaultValue = "") List<Leaf> gets,
            @RequestParam(defaultValue = "") List<String> boards,
            @RequestParam(defaultValue = "") String ears) {
        return edit(id, hand, new FolderEdit.Read(show, was, name, role, gets, boards, ears));
    }

    @PostMapping("/folder/reader/remove")
    String remove(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam ShowId show,
            @RequestParam(defaultValue = "") String reader) {
        return edit(id, hand, new FolderEdit.ReadNoMore(show, reader));
    }

    /** Gives everybody what they usually get. */
    @PostMapping("/folder/usual")
    String usual(@PathVariable RigId id, Hand hand, @RequestParam ShowId show) {
        return edit(id, hand, new FolderEdit.ReadAsUsual(show));
    }

    @PostMapping("/folder/numbers")
    String numbers(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam ShowId show,
            @RequestParam(defaultValue = "") String numbers) {
        return edit(id, hand, new FolderEdit.Call(show, numbers));
    }

    private String edit(RigId id, Hand hand, Edit edit) {
        rigs.edit(id, hand, edit);
        return "redirect:/rigs/%s/folder".formatted(id);
    }

    /** Takes ticks in that were made on a device without the server; of two the newer one counts. */
    @PostMapping("/folder/ticks")
    String ticks(
            @PathVariable RigId id,
            @RequestParam MultipartFile file,
            @Nullable Principal who,
            RedirectAttributes then) {
        TickFile made = uploads.read(file, Uploads.Sort.TICKS, "file", FolderController::made);
        Home home = folders.home(rigs.load(id), made, who == null ? Hand.SOMEBODY : who.getName())
                .brief();
        then.addAttribute("taken", home.taken())
                .addAttribute("known", home.known())
                .addAttribute("older", home.older())
                .addAttribute("unknown", home.unknown());
        return "redirect:/rigs/%s/folder".formatted(id);
    }

    private static TickFile made(byte[] file) {
        try {
            return TickFile.read(new String(file, StandardCharsets.UTF_8));
        } catch (UnreadableFile e) {
            throw Refused.text("file", e.problems().getFirst().toString());
        }
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
            @RequestParam(defaultValue = "") String labels,
            @RequestParam(defaultValue = "") String ground,
            @RequestParam(defaultValue = "false") boolean changed,
            HttpServletRequest request) {
        StoredRig stored = rigs.load(id);
        Choices choices =
                Choices.of(reader, leaf, paper, Refused.at("labels", () -> LabelSize.of(labels)), ground, changed);
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

    /** Begins to make the PDF of each reader, or ends that. */
    @PostMapping("/folder/all")
    String all(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "make") String what,
            @RequestParam(defaultValue = "") String paper,
            HttpServletRequest request) {
        if (what.equals("end")) {
            rigs.newestRevision(id);
            all.end(id);
        } else {
            all.begin(id, Paper.of(paper), address(request, id));
        }
        return "redirect:/rigs/%s/folder#all-folders".formatted(id);
    }

    /** All of these in one archive; the page where they are not made yet. */
    @GetMapping("/folder/all.zip")
    ResponseEntity<byte[]> archive(@PathVariable RigId id) {
        StoredRig stored = rigs.load(id);
        return all.archive(id)
                .map(bytes -> ResponseEntity.ok()
                        .contentType(new MediaType("application", "zip"))
                        .header(
                                HttpHeaders.CONTENT_DISPOSITION,
                                ContentDisposition.attachment()
                                        .filename(name(stored, "") + "s.zip")
                                        .build()
                                        .toString())
                        .body(bytes))
                .orElseGet(() -> ResponseEntity.status(HttpStatus.SEE_OTHER)
                        .location(URI.create("/rigs/%s/folder".formatted(id)))
                        .build());
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
        String view =
                page(RigId.of(Refusals.pathVariable(request, "id")), isReader && was.isEmpty() ? "+" : was, echo, page);
        if (isReader && page.getAttribute("page") instanceof FolderPage shown) {
            page.addAttribute("page", shown.typed(request.getParameterMap()));
        }
        return view;
    }
}
