package embrack.app.songs;

import embrack.app.frame.Echo;
import embrack.app.frame.NotInRig;
import embrack.app.frame.Refusals;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.edit.CueEdit;
import embrack.core.edit.Refused;
import embrack.core.plan.Plan;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** Capture: the song runs, keys set cues, and what comes of it is looked through before it is kept. */
@Controller
@RequestMapping("/rigs/{id}/songs/{song}/capture")
class CaptureController {

    private final RigStore rigs;
    private final SongRoom room;

    CaptureController(RigStore rigs, SongRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    @GetMapping
    String show(
            @PathVariable RigId id, @PathVariable SongId song, @ModelAttribute CapturePage.Asked asked, Model page) {
        return page(id, song, Hand.ANY, asked, Echo.NONE, page);
    }

    /** What was captured, looked through before it is kept; posted, since it may be long. */
    @PostMapping
    String look(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @ModelAttribute CapturePage.Asked asked,
            Model page) {
        return page(id, song, hand, asked, Echo.NONE, page);
    }

    @PostMapping("/keep")
    String keep(@PathVariable RigId id, Hand hand, @PathVariable SongId song, @ModelAttribute CapturePage.Asked asked) {
        Plan shown = rigs.seenBy(id, hand);
        Song found = shown.book().find(song).orElseThrow(() -> new Refused("song", Because.of("no.song-gone")));
        rigs.edit(id, hand, new CueEdit.KeepCaptured(song, CapturePage.capture(shown, found, asked)));
        return "redirect:/rigs/%s/songs/%s".formatted(id, song);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        Echo echo = Refusals.answer(refused, request, response);
        if (refused.field().equals("song")) {
            return room.list(id, echo, Optional.empty(), page);
        }
        // What was captured stays on the page, as long as it can be read.
        return page(
                id,
                new SongId(Refusals.pathVariable(request, "song")),
                Hand.ANY,
                CapturePage.Asked.typed(echo.typed()),
                echo,
                page);
    }

    /**
     * The page; what its keys stand for is what they stood for in the revision that the hand saw, whatever was changed
     * since.
     */
    private String page(RigId id, SongId song, Hand hand, CapturePage.Asked asked, Echo echo, Model page) {
        var report = room.enter(id, "/songs/%s/capture".formatted(song), echo, page);
        Plan shown = hand.seen().isPresent() ? rigs.seenBy(id, hand) : report.plan();
        if (report.plan().book().find(song).isEmpty()) {
            return NotInRig.instead("song", id, "/songs", echo);
        }
        page.addAttribute("song", SongHead.of(report, report.plan().book().song(song), "/rigs/" + id))
                .addAttribute("tab", "capture")
                .addAttribute("seen", hand.seen().orElse(rigs.newestRevision(id)))
                .addAttribute(
                        "capture",
                        CapturePage.of(
                                shown,
                                shown.book()
                                        .find(song)
                                        .orElse(report.plan().book().song(song)),
                                asked));
        return "songs/capture";
    }
}
