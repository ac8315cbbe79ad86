package embrack.app.songs;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.NotInRig;
import embrack.app.frame.Room;
import embrack.app.store.Because;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.check.Report;
import embrack.core.edit.Refused;
import embrack.core.gear.CueLine;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.files.midi.NoteOffs;
import embrack.files.songs.PlayerText;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts together what the pages of the songs room show. */
@Component
class SongRoom {

    private final RigStore rigs;
    private final Reports reports;

    SongRoom(RigStore rigs, Reports reports) {
        this.rigs = rigs;
        this.reports = reports;
    }

    /** What all pages of the room share; gives the report of the newest plan. */
    Report enter(RigId id, String here, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        Report report = reports.of(stored);
        page.addAttribute("frame", Frame.of(stored, report, Room.SONGS, here)).addAttribute("echo", echo);
        return report;
    }

    /** The list of songs. */
    String list(RigId id, Echo echo, Optional<ArrivedSong> arrived, Model page) {
        Report report = enter(id, "/songs", echo, page);
        page.addAttribute("songs", SongsPage.of(report)).addAttribute("arrived", arrived.orElse(null));
        return "songs/list";
    }

    /** The prompt page of a song; the list when the song is gone. */
    String prompt(RigId id, SongId song, PromptLook look, Echo echo, Model page) {
        Report report = enter(id, "/songs/%s%s".formatted(song, look.query()), echo, page);
        Optional<Song> found = report.plan().book().find(song);
        if (found.isEmpty()) {
            return NotInRig.instead("song", id, "/songs", echo);
        }
        PromptPage prompt = PromptPage.of(report, found.get(), look, "/rigs/%s/songs/%s".formatted(id, song));
        page.addAttribute("song", SongHead.of(report, found.get(), "/rigs/" + id))
                .addAttribute("tab", "")
                .addAttribute("noteOffs", List.of(NoteOffs.values()))
                .addAttribute("look", look)
                .addAttribute("prompt", prompt)
                .addAttribute("panel", CuePanel.of(report, found.get(), look, "/rigs/%s/songs/%s".formatted(id, song)));
        return "songs/prompt";
    }

    /** How a song goes; the list when the song is gone. */
    String how(RigId id, SongId song, Echo echo, Model page) {
        Report report = enter(id, "/songs/%s/how".formatted(song), echo, page);
        Optional<Song> found = report.plan().book().find(song);
        if (found.isEmpty()) {
            return NotInRig.instead("song", id, "/songs", echo);
        }
        page.addAttribute("song", SongHead.of(report, found.get(), "/rigs/" + id))
                .addAttribute("tab", "how")
                .addAttribute("how", HowPage.of(report.plan(), found.get()));
        return "songs/how";
    }

    /** What the player of a song takes and gives as text; the list when the song is gone. */
    String player(RigId id, SongId song, Optional<ArrivedCues> arrived, Echo echo, Model page) {
        Report report = enter(id, "/songs/%s/player".formatted(song), echo, page);
        Optional<Song> found = report.plan().book().find(song);
        Optional<CueLine> line = found.flatMap(sung -> PlayerText.lineOf(report.plan(), sung));
        if (line.isEmpty()) {
            return NotInRig.instead("song", id, "/songs", echo);
        }
        page.addAttribute("song", SongHead.of(report, found.get(), "/rigs/" + id))
                .addAttribute("tab", "player")
                .addAttribute("look", PromptLook.plain())
                .addAttribute("arrivedCues", arrived.orElse(null))
                .addAttribute("grids", PromptLook.Grid.ALL)
                .addAttribute("text", PlayerText.write(report.plan(), found.get(), line.get()));
        return "songs/player";
    }

    /** A song that is in the book. */
    Song song(RigId id, SongId song) {
        return rigs.load(id)
                .plan()
                .book()
                .find(song)
                .orElseThrow(() -> new Refused("song", Because.of("no.song-gone")));
    }
}
