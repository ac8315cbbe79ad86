package embrack.app.songs;

import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.plan.CueEdit;
import embrack.core.plan.Refused;
import embrack.core.show.Capture;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

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

    /**
     * The page.
     *
     * @param keys what the keys stand for: "used", or the id of a board
     * @param hits what was pressed, see {@link CapturePage#hits}
     */
    @GetMapping
    String show(@PathVariable RigId id, @PathVariable SongId song, @RequestParam(defaultValue = "") String keys, @RequestParam(defaultValue = "") String find, @RequestParam(defaultValue = "") String hits,
            @RequestParam(defaultValue = "960") int grid, @RequestParam(defaultValue = "true") boolean strip, @RequestParam(defaultValue = "false") boolean feet, Model page) {
        return page(id, song, new CapturePage.Asked(keys, find, hits, grid, strip, feet), Echo.NONE, page);
    }

    @PostMapping("/keep")
    String keep(@PathVariable RigId id, @PathVariable SongId song, @RequestParam(defaultValue = "") String keys, @RequestParam(defaultValue = "") String find, @RequestParam(defaultValue = "") String hits,
            @RequestParam(defaultValue = "960") int grid, @RequestParam(defaultValue = "true") boolean strip, @RequestParam(defaultValue = "false") boolean feet) {
        Song found = room.song(id, song);
        Capture capture = CapturePage.capture(rigs.load(id).plan(), found, new CapturePage.Asked(keys, find, hits, grid, strip, feet));
        rigs.edit(id, new CueEdit.KeepCaptured(song, capture));
        return "redirect:/rigs/%s/songs/%s".formatted(id, song);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        Echo echo = Refusals.answer(refused, request, response);
        if (refused.field().equals("song")) {
            return room.list(id, echo, List.of(), page);
        }
        return page(id, new SongId(Refusals.pathVariable(request, "song")), new CapturePage.Asked(echo.typed().getOrDefault("keys", ""), "", "", PromptLook.QUARTER, true, false), echo, page);
    }

    private String page(RigId id, SongId song, CapturePage.Asked asked, Echo echo, Model page) {
        var report = room.enter(id, "/songs/%s/capture".formatted(song), echo, page);
        return report.plan().book().find(song).map(found -> {
            page.addAttribute("song", SongHead.of(report, found, "/rigs/" + id)).addAttribute("tab", "capture").addAttribute("capture", CapturePage.of(report.plan(), found, asked));
            return "songs/capture";
        }).orElse("redirect:/rigs/%s/songs".formatted(id));
    }
}
