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
import embrack.core.edit.CueEdit;
import embrack.core.edit.Edit;
import embrack.core.edit.Refused;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.CueMerge;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.files.csv.CsvSheet;
import embrack.files.json.UnreadableFile;
import embrack.files.songs.CueCsv;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
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

/** The prompt page: cues, one at a time and several. */
@Controller
@RequestMapping("/rigs/{id}/songs/{song}")
class PromptController {

    /** Farther than anybody moves a cue, in milliseconds. */
    private static final long MOST_MILLIS = 10_000_000;

    private final RigStore rigs;
    private final SongRoom room;
    private final Uploads uploads;
    private final Shelf<List<Cue>> arrived = new Shelf<>();

    PromptController(RigStore rigs, SongRoom room, Uploads uploads) {
        this.rigs = rigs;
        this.room = room;
        this.uploads = uploads;
    }

    /**
     * The page.
     *
     * @param near a moment in microseconds from bar 1 that a person pointed at, to put a new cue there
     */
    @DrawnOnce
    @GetMapping
    String show(
            @PathVariable RigId id,
            @PathVariable SongId song,
            @RequestParam(defaultValue = "0") int zoom,
            @RequestParam(defaultValue = "0") int cue,
            @RequestParam(defaultValue = "960") int grid,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "") String on,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "-1") long near,
            Model page) {
        PromptLook look = new PromptLook(zoom, cue, grid, at, on, find);
        if (near >= 0) {
            Song found = room.song(id, song);
            look = new PromptLook(
                    zoom,
                    0,
                    grid,
                    Anchor.near(found.form(), near, look.grid())
                            .text(found.form().tempoMap()),
                    on,
                    find);
        }
        return room.prompt(id, song, look, Echo.NONE, page);
    }

    @PostMapping("/cues")
    String add(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @RequestParam Map<String, String> look,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "") String device,
            @RequestParam(defaultValue = "") String action,
            @RequestParam(defaultValue = "") String along,
            @RequestParam(defaultValue = "") String foot) {
        Edited edited = rigs.edit(
                id,
                hand,
                new CueEdit.AddCue(
                        song, at, action.isEmpty() ? List.of() : steps(device, action, along), SwitchAt.parse(foot)));
        return toCue(
                id, song, look, edited.plan().book().song(song).cues().getLast().number());
    }

    @PostMapping("/cues/{cue}/steps")
    String addStep(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @PathVariable int cue,
            @RequestParam Map<String, String> look,
            @RequestParam String device,
            @RequestParam String action,
            @RequestParam(defaultValue = "") String along) {
        return edit(id, hand, song, look, cue, new CueEdit.AddToCue(song, cue, steps(device, action, along)));
    }

    @PostMapping("/cues/{cue}/steps/{index}/remove")
    String removeStep(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @PathVariable int cue,
            @PathVariable int index,
            @RequestParam Map<String, String> look,
            @RequestParam String device,
            @RequestParam String action,
            @RequestParam(defaultValue = "0") int waited) {
        return edit(
                id,
                hand,
                song,
                look,
                cue,
                new CueEdit.TakeFromCue(song, cue, index, SongsController.step(device, action, waited)));
    }

    @PostMapping("/cues/{cue}/steps/{index}/wait")
    String wait(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @PathVariable int cue,
            @PathVariable int index,
            @RequestParam Map<String, String> look,
            @RequestParam String device,
            @RequestParam String action,
            @RequestParam(defaultValue = "0") int waited,
            @RequestParam(defaultValue = "") String millis) {
        return edit(
                id,
                hand,
                song,
                look,
                cue,
                new CueEdit.WaitInCue(song, cue, index, SongsController.step(device, action, waited), millis));
    }

    @PostMapping("/cues/{cue}/at")
    String place(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @PathVariable int cue,
            @RequestParam Map<String, String> look,
            @RequestParam(defaultValue = "") String at) {
        return edit(id, hand, song, look, cue, new CueEdit.PlaceCue(song, cue, at));
    }

    @PostMapping("/cues/{cue}/name")
    String name(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @PathVariable int cue,
            @RequestParam Map<String, String> look,
            @RequestParam(defaultValue = "") String name) {
        return edit(id, hand, song, look, cue, new CueEdit.NameCue(song, cue, name));
    }

    @PostMapping("/cues/{cue}/early")
    String early(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @PathVariable int cue,
            @RequestParam Map<String, String> look,
            @RequestParam(defaultValue = "false") boolean early) {
        return edit(id, hand, song, look, cue, new CueEdit.SendEarly(song, cue, early));
    }

    @PostMapping("/cues/{cue}/leaves")
    String leaves(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @PathVariable int cue,
            @RequestParam Map<String, String> look,
            @RequestParam(defaultValue = "false") boolean off) {
        return edit(id, hand, song, look, cue, new CueEdit.LeaveOff(song, cue, off));
    }

    /**
     * Several cues at once.
     *
     * @param cues their numbers, with commas
     * @param by ticks, for moves
     * @param ms milliseconds, for moves
     */
    @PostMapping("/cues/several")
    String several(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @RequestParam Map<String, String> look,
            @RequestParam(defaultValue = "") String cues,
            @RequestParam("do") String what,
            @RequestParam(defaultValue = "0") long by,
            @RequestParam(defaultValue = "0") long ms,
            @RequestParam(defaultValue = "0") int held,
            @RequestParam(defaultValue = "0") long to) {
        List<Integer> numbers = Stream.of(cues.split(","))
                .filter(text -> text.matches("\\d{1,6}"))
                .map(Integer::valueOf)
                .toList();
        if (numbers.isEmpty()) {
            throw new Refused("cues", Because.of("no.no-cue-chosen"));
        }
        Edit edit =
                switch (what) {
                    case "remove" -> new CueEdit.RemoveCues(song, numbers);
                    case "alike" -> new CueEdit.CopyToAlike(song, numbers);
                    case "drag" ->
                        new CueEdit.DragCues(
                                song,
                                numbers,
                                held,
                                to,
                                new PromptLook(0, 0, number(look, "grid", PromptLook.QUARTER), "", "", "").grid());
                    default ->
                        new CueEdit.MoveCues(song, numbers, by, Math.clamp(ms, -MOST_MILLIS, MOST_MILLIS) * 1_000);
                };
        return edit(id, hand, song, look, what.equals("remove") ? 0 : held > 0 ? held : numbers.getFirst(), edit);
    }

    @PostMapping("/cues/import")
    String read(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @RequestParam Map<String, String> look,
            @RequestParam MultipartFile file,
            Model page) {
        try {
            Plan plan = rigs.load(id).plan();
            Song sung = room.song(id, song);
            List<Cue> cues = uploads.read(
                    file, Uploads.Sort.CSV, "file", bytes -> CueCsv.read(CsvSheet.text(bytes), plan, sung));
            if (sung.cues().isEmpty()) {
                return edit(id, hand, song, look, 0, new CueEdit.AddCues(song, cues));
            }
            page.addAttribute("arrivedCues", ArrivedCues.of(arrived.put(cues), plan, sung, cues));
            return room.prompt(
                    id,
                    song,
                    new PromptLook(number(look, "zoom", 0), 0, number(look, "grid", PromptLook.QUARTER), "", "", ""),
                    Echo.NONE,
                    page);
        } catch (UnreadableFile e) {
            throw Refused.text(
                    "file", e.problems().stream().limit(5).map(Object::toString).collect(Collectors.joining(" ")));
        }
    }

    /** Keeps what was read from a list, in the way that was chosen. */
    @PostMapping("/cues/import/keep")
    String keep(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable SongId song,
            @RequestParam Map<String, String> look,
            @RequestParam(defaultValue = "") String mark,
            @RequestParam CueMerge.How how) {
        List<Cue> cues = arrived.find(mark).orElseThrow(() -> new Refused("file", Because.of("no.read-gone")));
        return edit(id, hand, song, look, 0, new CueEdit.MergeCues(song, cues, how));
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        Echo echo = Refusals.answer(refused, request, response);
        if (refused.field().equals("song")) {
            return room.list(id, echo, Optional.empty(), page);
        }
        String cue = Refusals.pathVariable(request, "cue");
        int chosen = cue.isEmpty() ? number(echo.typed(), "cue", 0) : number(Map.of("cue", cue), "cue", 0);
        return room.prompt(
                id,
                new SongId(Refusals.pathVariable(request, "song")),
                new PromptLook(
                        number(echo.typed(), "zoom", 0),
                        chosen,
                        number(echo.typed(), "grid", PromptLook.QUARTER),
                        echo.typed().getOrDefault("at", ""),
                        "",
                        echo.typed().getOrDefault("find", "")),
                echo,
                page);
    }

    private String edit(RigId id, Hand hand, SongId song, Map<String, String> look, int cue, Edit edit) {
        rigs.edit(id, hand, edit);
        return toCue(id, song, look, cue);
    }

    private static String toCue(RigId id, SongId song, Map<String, String> look, int cue) {
        return "redirect:/rigs/%s/songs/%s%s"
                .formatted(
                        id,
                        song,
                        new PromptLook(
                                        number(look, "zoom", 0),
                                        cue,
                                        number(look, "grid", PromptLook.QUARTER),
                                        "",
                                        "",
                                        "")
                                .query());
    }

    private static int number(Map<String, String> fields, String name, int otherwise) {
        String text = fields.getOrDefault(name, "");
        return text.matches("\\d{1,6}") ? Integer.parseInt(text) : otherwise;
    }

    private static List<Step> steps(String device, String action, String along) {
        List<Step> steps = new ArrayList<>(List.of(SongsController.step(device, action, 0)));
        Stream.of(along.split(","))
                .filter(key -> !key.isEmpty())
                .forEach(key -> steps.add(SongsController.step(device, key, 0)));
        return steps;
    }
}
