package embrack.app.songs;

import embrack.app.door.Entry;
import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.frame.Said;
import embrack.app.frame.SongCopies;
import embrack.app.store.Hand;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.edit.Refused;
import embrack.core.show.SongId;
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

/** A song is copied to another rig that its reader plans, be it of the same crew or of another. */
@Controller
@RequestMapping("/rigs/{id}/songs/{song}/copy")
class CopyController {

    private final RigStore rigs;
    private final Reports reports;
    private final SongCopies copies;

    CopyController(RigStore rigs, Reports reports, SongCopies copies) {
        this.rigs = rigs;
        this.reports = reports;
        this.copies = copies;
    }

    @GetMapping
    String rigs(@PathVariable RigId id, @PathVariable SongId song, Entry entry, Model page) {
        return show(id, song, entry, Echo.NONE, page);
    }

    @PostMapping
    String copy(
            @PathVariable RigId id,
            @PathVariable SongId song,
            @RequestParam(defaultValue = "") String to,
            Entry entry,
            Hand hand,
            HttpServletResponse response) {
        SongCopies.Copied copied =
                copies.copy(rigs.load(id).plan(), song, to, copies.targets(entry, Optional.of(id)), hand);
        Said.to(response, copied.words());
        return "redirect:/rigs/%s/songs".formatted(copied.to());
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        return show(
                RigId.of(Refusals.pathVariable(request, "id")),
                new SongId(Refusals.pathVariable(request, "song")),
                Entry.of(request),
                echo,
                page);
    }

    private String show(RigId id, SongId song, Entry entry, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        String path = "/songs/%s/copy".formatted(song);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.SONGS, path))
                .addAttribute("echo", echo)
                .addAttribute("form", "/rigs/%s%s".formatted(id, path))
                .addAttribute("back", "/rigs/%s/songs/%s/how".formatted(id, song))
                .addAttribute(
                        "copied",
                        stored.plan()
                                .book()
                                .find(song)
                                .map(found -> found.title().text())
                                .orElse("A song that is gone"))
                .addAttribute("targets", copies.targets(entry, Optional.of(id)))
                .addAttribute("shares", shares(id, song, entry));
        return "songs/copy";
    }

    /** Where it is shared with another crew; empty for whoever is alone. */
    private String shares(RigId id, SongId song, Entry entry) {
        return entry.isAlone()
                ? ""
                : rigs.crew(id)
                        .map(crew -> "/crews/%s/shared?rig=%s&song=%s".formatted(crew, id, song))
                        .orElse("");
    }
}
