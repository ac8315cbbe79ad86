package embrack.app.songs;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.frame.Shelf;
import embrack.app.frame.Uploads;
import embrack.app.store.Because;
import embrack.app.store.Edited;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.chart.Action;
import embrack.core.edit.Refused;
import embrack.core.edit.SongEdit;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.When;
import embrack.core.switches.Step;
import embrack.files.midi.MidiImport;
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
import org.springframework.web.multipart.MultipartFile;

/** The list of songs: new, from a file, away; what every song sends. */
@Controller
@RequestMapping("/rigs/{id}/songs")
class SongsController {

    private final RigStore rigs;
    private final SongRoom room;
    private final Uploads uploads;
    private final Shelf<MidiImport> arrived = new Shelf<>();

    SongsController(RigStore rigs, SongRoom room, Uploads uploads) {
        this.rigs = rigs;
        this.room = room;
        this.uploads = uploads;
    }

    @DrawnOnce
    @GetMapping
    String list(@PathVariable RigId id, Model page) {
        return room.list(id, Echo.NONE, Optional.empty(), page);
    }

    @PostMapping
    String add(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam(defaultValue = "") String title,
            @RequestParam(defaultValue = "") String how) {
        Song made = made(rigs.edit(id, hand, new SongEdit.AddSong(title, how)));
        return "redirect:/rigs/%s/songs/%s%s".formatted(id, made.id(), how.isBlank() ? "/how" : "");
    }

    @PostMapping("/import")
    String read(
            @PathVariable RigId id,
            Hand hand,
            @RequestParam MultipartFile file,
            @RequestParam(defaultValue = "false") boolean releases,
            Model page) {
        String name = Optional.ofNullable(file.getOriginalFilename())
                .orElse("Imported song")
                .replaceAll("\\.[A-Za-z]{2,4}$", "");
        Plan plan = rigs.load(id).plan();
        MidiImport read = Refused.at(
                "file",
                () -> uploads.read(
                        file, Uploads.Sort.MIDI, "file", bytes -> MidiImport.read(bytes, name, plan, releases)));
        return read.remarks().isEmpty()
                ? kept(id, hand, read)
                : room.list(id, Echo.NONE, Optional.of(ArrivedSong.of(arrived.put(read), read)), page);
    }

    /** Keeps what was read, with all that is left out of it. */
    @PostMapping("/import/keep")
    String keep(@PathVariable RigId id, Hand hand, @RequestParam(defaultValue = "") String mark) {
        return kept(id, hand, arrived.find(mark).orElseThrow(() -> new Refused("file", Because.of("no.read-gone"))));
    }

    private String kept(RigId id, Hand hand, MidiImport read) {
        Song made = made(rigs.edit(id, hand, new SongEdit.ImportSong(read.song())));
        return "redirect:/rigs/%s/songs/%s".formatted(id, made.id());
    }

    @PostMapping("/{song}/remove")
    String remove(@PathVariable RigId id, Hand hand, @PathVariable SongId song) {
        rigs.edit(id, hand, new SongEdit.RemoveSong(song));
        return "redirect:/rigs/%s/songs".formatted(id);
    }

    /** Has every song send the first thing that a search finds. */
    @PostMapping("/always")
    String always(
            @PathVariable RigId id, Hand hand, @RequestParam When when, @RequestParam(defaultValue = "") String find) {
        rigs.edit(id, hand, new SongEdit.SendAlways(when, find));
        return "redirect:/rigs/%s/songs".formatted(id);
    }

    @PostMapping("/always/{number}/remove")
    String never(@PathVariable RigId id, Hand hand, @PathVariable int number) {
        rigs.edit(id, hand, new SongEdit.SendNoMore(number));
        return "redirect:/rigs/%s/songs".formatted(id);
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return room.list(
                RigId.of(Refusals.pathVariable(request, "id")),
                Refusals.answer(refused, request, response),
                Optional.empty(),
                page);
    }

    /** The song that an edit made. */
    private static Song made(Edited edited) {
        return edited.plan().book().songs().getLast();
    }

    /** A step as forms say it. */
    static Step step(String device, String action, int waited) {
        return Refused.at(
                "step", Because.of("no.no-action"), () -> new Step(new DeviceId(device), Action.parse(action), waited));
    }
}
