package embrack.app.songs;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Stretch;
import embrack.app.store.RigId;
import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.CueSheet;
import embrack.core.show.Show;
import embrack.core.show.Song;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Cue sheets: of one song or of tonight's, for everybody or for the person at one device. */
@Controller
class CueSheetController {

    /** As many songs as a page shows at once: more than an evening has. */
    private static final int MOST = 30;

    private final SongRoom room;

    CueSheetController(SongRoom room) {
        this.room = room;
    }

    /** A device, or a song, to choose. */
    record Choice(String key, String words, boolean isChosen) {}

    @DrawnOnce
    @GetMapping("/rigs/{id}/cues")
    String sheet(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String device,
            @RequestParam(defaultValue = "") String song,
            @RequestParam(defaultValue = "1") int at,
            Model page) {
        Report report = room.enter(id, "/cues?device=%s&song=%s".formatted(device, song), Echo.NONE, page);
        Plan plan = report.plan();
        Optional<DeviceId> only = plan.rig().devices().stream()
                .map(Device::id)
                .filter(d -> d.text().equals(device))
                .findFirst();
        List<Song> songs = plan.book().songs().stream()
                .filter(s -> s.id().text().equals(song))
                .findFirst()
                .map(List::of)
                .orElseGet(() -> tonight(plan));
        Stretch<Song> stretch = Stretch.of(
                songs.stream()
                        .filter(s -> only.isEmpty()
                                || !CueSheet.of(report, s, only).rows().isEmpty())
                        .toList(),
                at,
                MOST,
                "/rigs/%s/cues?device=%s&song=%s&at=".formatted(id, device, song));
        List<CueSheet> sheets =
                stretch.rows().stream().map(s -> CueSheet.of(report, s, only)).toList();
        page.addAttribute("sheets", sheets)
                .addAttribute("stretch", stretch)
                .addAttribute("devices", devices(plan, only))
                .addAttribute("songs", songs(plan, song))
                .addAttribute("device", device)
                .addAttribute("song", song)
                .addAttribute("only", only.map(d -> plan.rig().name(d).text()).orElse("everybody"))
                .addAttribute(
                        "show",
                        plan.book()
                                .tonight()
                                .map(Show::name)
                                .map(Object::toString)
                                .orElse("All songs"));
        return "songs/cue-sheet";
    }

    private static List<Song> tonight(Plan plan) {
        return plan.book()
                .tonight()
                .map(show -> show.order().stream()
                        .flatMap(entry -> entry.song().stream())
                        .distinct()
                        .map(plan.book()::song)
                        .toList())
                .orElse(plan.book().songs());
    }

    private static List<Choice> devices(Plan plan, Optional<DeviceId> only) {
        List<Choice> choices = new ArrayList<>(List.of(new Choice("", "everybody", only.isEmpty())));
        plan.rig().devices().stream()
                .map(Device::id)
                .filter(device -> plan.book().cues().stream().anyMatch(cue -> cue.uses(device)))
                .forEach(device -> choices.add(new Choice(
                        device.text(),
                        plan.rig().name(device).text(),
                        only.filter(device::equals).isPresent())));
        return choices;
    }

    private static List<Choice> songs(Plan plan, String song) {
        List<Choice> choices = new ArrayList<>(List.of(new Choice("", "the whole show", song.isEmpty())));
        plan.book()
                .songs()
                .forEach(s -> choices.add(new Choice(
                        s.id().text(), s.title().text(), s.id().text().equals(song))));
        return choices;
    }
}
