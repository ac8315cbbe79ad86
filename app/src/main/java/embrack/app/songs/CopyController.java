package embrack.app.songs;

import embrack.app.door.Entry;
import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.frame.Said;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.Reports;
import embrack.app.store.RigEntry;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.crew.Right;
import embrack.core.edit.Refused;
import embrack.core.edit.SongEdit;
import embrack.core.name.Words;
import embrack.core.show.Song;
import embrack.core.show.SongId;
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

/** A song is copied to another rig that its reader plans, be it of the same crew or of another. */
@Controller
@RequestMapping("/rigs/{id}/songs/{song}/copy")
class CopyController {

    private final RigStore rigs;
    private final Reports reports;

    CopyController(RigStore rigs, Reports reports) {
        this.rigs = rigs;
        this.reports = reports;
    }

    /** A rig that it can be copied to. */
    record Target(RigId id, String name, String crew) {}

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
        StoredRig stored = rigs.load(id);
        Song found = stored.plan().book().find(song).orElseThrow(() -> new Refused("song", Because.of("no.song-gone")));
        RigId target = targets(id, entry).stream()
                .map(Target::id)
                .filter(rig -> rig.toString().equals(to))
                .findFirst()
                .orElseThrow(() -> new Refused("to", Because.of("no.none-of-the-list")));
        var copy = new SongEdit.CopySong(found, stored.plan().rig());
        int left = found.cues().size()
                - copy.fitted(rigs.load(target).plan().rig()).cues().size();
        // What was seen is a revision of the rig that it is of.
        rigs.edit(target, new Hand(hand.author(), Optional.empty(), hand.once()), copy);
        Said.to(
                response,
                left == 0
                        ? "Copied."
                        : "Copied without %s: this rig lacks the boxes.".formatted(Words.count(left, "cue")));
        return "redirect:/rigs/%s/songs".formatted(target);
    }

    private List<Target> targets(RigId id, Entry entry) {
        List<RigEntry> seen =
                entry.person().map(person -> rigs.visibleTo(person.id())).orElseGet(rigs::list);
        return seen.stream()
                .filter(rig -> !rig.id().equals(id) && entry.may(Right.EDIT, rig.id()))
                .map(rig -> new Target(rig.id(), rig.name(), entry.crews().getOrDefault(rig.crew(), "")))
                .toList();
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
                .addAttribute("targets", targets(id, entry));
        return "songs/copy";
    }
}
