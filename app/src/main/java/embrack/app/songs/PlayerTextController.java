package embrack.app.songs;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.frame.Shelf;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.edit.CueEdit;
import embrack.core.edit.Refused;
import embrack.core.gear.CueLine;
import embrack.core.plan.Plan;
import embrack.core.show.Cue;
import embrack.core.show.CueMerge;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.files.json.UnreadableFile;
import embrack.files.songs.PlayerText;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The cues of a song in the own text of its player, to be pasted there and taken from there. */
@Controller
@RequestMapping("/rigs/{id}/songs/{song}/player")
class PlayerTextController {

    private final RigStore rigs;
    private final SongRoom room;
    private final Shelf<List<Cue>> arrived = new Shelf<>();

    PlayerTextController(RigStore rigs, SongRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    @DrawnOnce
    @GetMapping
    String show(@PathVariable RigId id, @PathVariable SongId song, Model page) {
        return room.player(id, song, Optional.empty(), Echo.NONE, page);
    }

    /** Reads what was pasted from the player; nothing is kept yet. */
    @PostMapping
    String paste(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "0") int grid,
            Model page) {
        Plan plan = rigs.load(id).plan();
        Song sung = room.song(id, song);
        CueLine line = PlayerText.lineOf(plan, sung)
                .orElseThrow(() -> new Refused("text", Because.of("no.player-has-no-text")));
        try {
            PlayerText.Pasted pasted = PlayerText.read(text, line, plan, sung, Math.clamp(grid, 0, 1 << 16));
            return room.player(
                    id,
                    song,
                    Optional.of(ArrivedCues.of(arrived.put(pasted.cues()), plan, sung, pasted)),
                    Echo.NONE,
                    page);
        } catch (UnreadableFile e) {
            throw Refused.text(
                    "text", e.problems().stream().limit(5).map(Object::toString).collect(Collectors.joining(" ")));
        }
    }

    /** Keeps what was read, in the way that was chosen. */
    @PostMapping("/keep")
    String keep(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @RequestParam(defaultValue = "") String mark,
            @RequestParam CueMerge.How how) {
        List<Cue> cues = arrived.find(mark).orElseThrow(() -> new Refused("text", Because.of("no.read-gone")));
        rigs.edit(id, hand, new CueEdit.MergeCues(song, cues, how));
        return "redirect:/rigs/%s/songs/%s".formatted(id, song);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        Echo echo = Refusals.answer(refused, request, response);
        return refused.field().equals("song")
                ? room.list(id, echo, Optional.empty(), page)
                : room.player(id, new SongId(Refusals.pathVariable(request, "song")), Optional.empty(), echo, page);
    }
}
