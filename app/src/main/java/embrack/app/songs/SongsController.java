package embrack.app.songs;

import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.chart.Action;
import embrack.core.plan.Offer;
import embrack.core.plan.Offers;
import embrack.core.plan.Plan;
import embrack.core.plan.Refused;
import embrack.core.plan.SongEdit;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.SongId;
import embrack.core.show.When;
import embrack.core.switches.Step;
import embrack.files.midi.MidiImport;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The list of songs: new, from a file, away; what every song sends. */
@Controller
@RequestMapping("/rigs/{id}/songs")
class SongsController {

    private static final int MAX_FILE = 16 << 20;

    private final RigStore rigs;
    private final SongRoom room;

    SongsController(RigStore rigs, SongRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    @GetMapping
    String list(@PathVariable RigId id, Model page) {
        return room.list(id, Echo.NONE, List.of(), page);
    }

    @PostMapping
    String add(@PathVariable RigId id, @RequestParam(defaultValue = "") String title, @RequestParam(defaultValue = "") String how) {
        var edit = new SongEdit.AddSong(title, how);
        rigs.edit(id, edit);
        return "redirect:/rigs/%s/songs/%s%s".formatted(id, edit.idIn(rigs.load(id).plan()), how.isBlank() ? "/how" : "");
    }

    @PostMapping("/import")
    String read(@PathVariable RigId id, @RequestParam MultipartFile file, @RequestParam(defaultValue = "false") boolean releases, Model page) throws IOException {
        if (file.isEmpty()) {
            throw new Refused("file", "Choose a MIDI file first.");
        }
        String name = Optional.ofNullable(file.getOriginalFilename()).orElse("Imported song").replaceAll("\\.[A-Za-z]{2,4}$", "");
        MidiImport read;
        try {
            read = MidiImport.read(file.getInputStream().readNBytes(MAX_FILE + 1), name, rigs.load(id).plan(), releases);
        } catch (IllegalArgumentException e) {
            throw new Refused("file", String.valueOf(e.getMessage()));
        }
        rigs.edit(id, new SongEdit.ImportSong(read.song()));
        if (read.remarks().isEmpty()) {
            return "redirect:/rigs/%s/songs/%s".formatted(id, rigs.load(id).plan().book().songs().getLast().id());
        }
        return room.list(id, Echo.NONE, Stream.concat(Stream.of("%s was read: %d sections, %d cues.".formatted(read.song().title(), read.song().form().sections().size(), read.song().cues().size())),
                read.remarks().stream()).toList(), page);
    }

    @PostMapping("/{song}/remove")
    String remove(@PathVariable RigId id, @PathVariable SongId song) {
        rigs.edit(id, new SongEdit.RemoveSong(song));
        return "redirect:/rigs/%s/songs".formatted(id);
    }

    /** Has every song send the first thing that a search finds. */
    @PostMapping("/always")
    String always(@PathVariable RigId id, @RequestParam When when, @RequestParam(defaultValue = "") String find) {
        Plan plan = rigs.load(id).plan();
        Offer offer = plan.players().stream().findFirst().flatMap(player -> find.isBlank() ? Optional.empty() : new Offers(plan).find(player, find).stream().findFirst())
                .orElseThrow(() -> new Refused("find", plan.players().isEmpty() ? "Add a track player in Gear first." : "No box in the rig can do that. Try fewer letters."));
        List<Step> steps = Stream.concat(Stream.of(offer.step()), offer.along().stream()).toList();
        Book book = plan.book();
        List<Cue> cues = new ArrayList<>(book.always());
        cues.add(new Cue(cues.stream().mapToInt(Cue::number).max().orElse(0) + 1, new Anchor.Automatic(when), steps));
        rigs.edit(id, new SongEdit.SendAlways(cues));
        return "redirect:/rigs/%s/songs".formatted(id);
    }

    @PostMapping("/always/{number}/remove")
    String never(@PathVariable RigId id, @PathVariable int number) {
        rigs.edit(id, new SongEdit.SendAlways(rigs.load(id).plan().book().always().stream().filter(cue -> cue.number() != number).toList()));
        return "redirect:/rigs/%s/songs".formatted(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return room.list(RigId.of(Refusals.pathVariable(request, "id")), Refusals.answer(refused, request, response), List.of(), page);
    }

    /** A step as forms say it. */
    static Step step(DeviceId device, String action) {
        try {
            return new Step(device, Action.parse(action));
        } catch (IllegalArgumentException e) {
            throw new Refused("step", "That is no action. Search again and choose one.");
        }
    }
}
