package embrack.app.songs;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.chart.PartId;
import embrack.core.edit.CueEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.SongEdit;
import embrack.core.music.NoteLength;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.files.midi.NoteOffs;
import embrack.files.midi.SongMidi;
import embrack.files.songs.CueCsv;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
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

/** How a song goes: its facts, its form, its tempo; its files. */
@Controller
@RequestMapping("/rigs/{id}/songs/{song}")
class SongController {

    private final RigStore rigs;
    private final SongRoom room;

    SongController(RigStore rigs, SongRoom room) {
        this.rigs = rigs;
        this.room = room;
    }

    @DrawnOnce
    @GetMapping("/how")
    String how(@PathVariable RigId id, @PathVariable SongId song, Model page) {
        return room.how(id, song, Echo.NONE, page);
    }

    @PostMapping("/facts")
    String facts(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @RequestParam(defaultValue = "") String title,
            @RequestParam(defaultValue = "") String played,
            @RequestParam(defaultValue = "") String original,
            @RequestParam(defaultValue = "") String place,
            @RequestParam(defaultValue = "") String trimStart,
            @RequestParam(defaultValue = "") String trimEnd,
            @RequestParam(defaultValue = "") String leadIn,
            @RequestParam(defaultValue = "") String player,
            @RequestParam(defaultValue = "") String notes) {
        rigs.edit(
                id,
                hand,
                new SongEdit.DescribeSong(
                        song,
                        title,
                        played,
                        original,
                        place,
                        trimStart,
                        trimEnd,
                        leadIn,
                        player,
                        notes.replace("\r\n", "\n")));
        return back(id, song);
    }

    @PostMapping("/form")
    String form(
            @PathVariable RigId id, Hand hand, @PathVariable SongId song, @RequestParam(defaultValue = "") String how) {
        rigs.edit(id, hand, new SongEdit.TellForm(song, how));
        return back(id, song);
    }

    @PostMapping("/tempo")
    String tempo(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @RequestParam(defaultValue = "") String tempo,
            @RequestParam(defaultValue = "false") boolean clock) {
        rigs.edit(id, hand, new SongEdit.NewTempo(song, tempo, clock));
        return back(id, song);
    }

    @PostMapping("/time")
    String time(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @RequestParam DeviceId device,
            @RequestParam PartId part,
            @RequestParam NoteLength note) {
        rigs.edit(id, hand, new CueEdit.SetTime(song, device, part, note));
        return back(id, song);
    }

    @GetMapping("/song.mid")
    ResponseEntity<byte[]> midi(
            @PathVariable RigId id,
            @PathVariable SongId song,
            @RequestParam(defaultValue = "480") int ticks,
            @RequestParam(defaultValue = "AS_TAKEN") NoteOffs offs) {
        Plan plan = rigs.load(id).plan();
        Song found = room.song(id, song);
        return file(
                found,
                ".mid",
                new MediaType("audio", "midi"),
                SongMidi.write(
                        plan,
                        found,
                        SongMidi.RESOLUTIONS.contains(ticks) ? ticks : SongMidi.RESOLUTIONS.getFirst(),
                        offs));
    }

    @GetMapping("/cues.csv")
    ResponseEntity<byte[]> csv(@PathVariable RigId id, @PathVariable SongId song) {
        Song found = room.song(id, song);
        return file(
                found,
                "-cues.csv",
                new MediaType("text", "csv", StandardCharsets.UTF_8),
                CueCsv.write(rigs.load(id).plan(), found).getBytes(StandardCharsets.UTF_8));
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        String song = Refusals.pathVariable(request, "song");
        if (refused.field().equals("song")) {
            return room.list(id, Refusals.answer(refused, request, response), Optional.empty(), page);
        }
        return room.how(id, new SongId(song), Refusals.answer(refused, request, response), page);
    }

    private static String back(RigId id, SongId song) {
        return "redirect:/rigs/%s/songs/%s/how".formatted(id, song);
    }

    private static ResponseEntity<byte[]> file(Song song, String ending, MediaType type, byte[] content) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"%s%s\"".formatted(song.id(), ending))
                .body(content);
    }
}
