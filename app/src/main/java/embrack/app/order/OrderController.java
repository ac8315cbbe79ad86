package embrack.app.order;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.NotInRig;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.Because;
import embrack.app.store.Hand;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.check.Report;
import embrack.core.edit.Edit;
import embrack.core.edit.OrderEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.SongEdit;
import embrack.core.plan.Plan;
import embrack.core.show.Calls;
import embrack.core.show.Item;
import embrack.core.show.Running;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.show.SongId;
import embrack.core.show.Transition;
import embrack.core.switches.SwitchAt;
import embrack.files.songs.OrderFiles;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
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

/** The order of a show. */
@Controller
@RequestMapping("/rigs/{id}/order")
class OrderController {

    private final RigStore rigs;
    private final Reports reports;

    OrderController(RigStore rigs, Reports reports) {
        this.rigs = rigs;
        this.reports = reports;
    }

    @GetMapping
    String tonight(@PathVariable RigId id, Model page) {
        Optional<Show> tonight = rigs.load(id).plan().book().tonight();
        return tonight.map(show -> "redirect:/rigs/%s/order/%s".formatted(id, show.id()))
                .orElseGet(() -> none(id, Echo.NONE, page));
    }

    @DrawnOnce
    @GetMapping("/{show}")
    String show(
            @PathVariable RigId id, @PathVariable ShowId show, @RequestParam(defaultValue = "0") int part, Model page) {
        return order(id, show, part, Echo.NONE, page);
    }

    /** What is heard, seen and open between one part and the next. */
    @DrawnOnce
    @GetMapping("/{show}/joins")
    String joins(@PathVariable RigId id, @PathVariable ShowId show, Model page) {
        return beside(id, show, "joins", page, JoinsPage::of);
    }

    /** Keys that go together, within what the crew allows. */
    @DrawnOnce
    @GetMapping("/{show}/keys")
    String keys(
            @PathVariable RigId id,
            @PathVariable ShowId show,
            @RequestParam(defaultValue = "") String limit,
            Model page) {
        return beside(id, show, "keys", page, (plan, known) -> KeysPage.of(plan, known, limit));
    }

    /** A song is played in a key tonight. */
    @PostMapping("/{show}/keys")
    String playIn(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @RequestParam(defaultValue = "0") int part,
            @RequestParam(defaultValue = "") String key,
            @RequestParam(defaultValue = "") String limit) {
        rigs.edit(id, hand, new OrderEdit.PlayIn(show, part, key));
        return "redirect:/rigs/%s/order/%s/keys?limit=%s".formatted(id, show, limit.matches("[0-6]") ? limit : "");
    }

    @PostMapping
    String add(@PathVariable RigId id, Hand hand, @RequestParam(defaultValue = "") String name) {
        rigs.edit(id, hand, new OrderEdit.AddShow(name));
        return "redirect:/rigs/%s/order".formatted(id);
    }

    @PostMapping("/{show}/copy")
    String copy(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String day) {
        rigs.edit(id, hand, new OrderEdit.CopyShow(show, name, day));
        return "redirect:/rigs/%s/order".formatted(id);
    }

    @PostMapping("/{show}/remove")
    String remove(@PathVariable RigId id, Hand hand, @PathVariable ShowId show) {
        rigs.edit(id, hand, new OrderEdit.RemoveShow(show));
        return "redirect:/rigs/%s/order".formatted(id);
    }

    @PostMapping("/{show}/facts")
    String facts(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String day,
            @RequestParam(defaultValue = "") String start,
            @RequestParam(defaultValue = "") String slot) {
        return edit(id, hand, show, 0, new OrderEdit.DescribeShow(show, name, day, start, slot));
    }

    @PostMapping("/{show}/songs")
    String addSong(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @RequestParam(defaultValue = "") String song) {
        if (song.isEmpty()) {
            throw new Refused("song", Because.of("no.no-song-chosen"));
        }
        return edit(id, hand, show, 0, new OrderEdit.AddSongTo(show, song));
    }

    @PostMapping("/{show}/parts")
    String addPart(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @RequestParam Item item,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String length) {
        return edit(id, hand, show, 0, new OrderEdit.AddPart(show, item, name, length));
    }

    @PostMapping("/{show}/parts/{part}/move")
    String move(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @PathVariable int part,
            @RequestParam int before) {
        return edit(id, hand, show, part, new OrderEdit.MovePart(show, part, before));
    }

    @PostMapping("/{show}/parts/{part}/remove")
    String removePart(@PathVariable RigId id, Hand hand, @PathVariable ShowId show, @PathVariable int part) {
        return edit(id, hand, show, 0, new OrderEdit.RemovePart(show, part));
    }

    @PostMapping("/{show}/parts/{part}/facts")
    String part(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @PathVariable int part,
            @RequestParam Item item,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String length,
            @RequestParam(defaultValue = "") String key,
            @RequestParam Transition.Way way,
            @RequestParam(defaultValue = "") String time,
            @RequestParam(defaultValue = "") String padKey,
            @RequestParam(defaultValue = "") String padLength,
            @RequestParam(defaultValue = "") String press) {
        return edit(
                id,
                hand,
                show,
                part,
                new OrderEdit.DescribePart(
                        show, part, item, name, length, key, way, time, padKey, padLength, SwitchAt.parse(press)));
    }

    @PostMapping("/{show}/parts/{part}/calls")
    String calls(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @PathVariable int part,
            @RequestParam(defaultValue = "") String arm,
            @RequestParam Calls.Ending ending,
            @RequestParam(defaultValue = "") String end) {
        return edit(
                id,
                hand,
                show,
                part,
                new OrderEdit.CallPart(show, part, SwitchAt.parse(arm), ending, SwitchAt.parse(end)));
    }

    @PostMapping("/{show}/any-order")
    String anyOrder(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @RequestParam(defaultValue = "false") boolean any) {
        return edit(id, hand, show, 0, new OrderEdit.CallOnTheNight(show, any));
    }

    @PostMapping("/{show}/number")
    String number(@PathVariable RigId id, Hand hand, @PathVariable ShowId show) {
        return edit(id, hand, show, 0, new SongEdit.NumberSongs(show));
    }

    /** Which boxes are there tonight, and what is lost without the others. */
    @DrawnOnce
    @GetMapping("/{show}/gear")
    String gear(@PathVariable RigId id, @PathVariable ShowId show, Model page) {
        return beside(id, show, "gear", page, TonightsGear::of);
    }

    @PostMapping("/{show}/gear")
    String bring(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @RequestParam(defaultValue = "") List<String> here) {
        rigs.edit(id, hand, new OrderEdit.BringGear(show, here));
        return "redirect:/rigs/%s/order/%s/gear".formatted(id, show);
    }

    @PostMapping("/{show}/roster")
    String roster(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @RequestParam(defaultValue = "") List<String> present) {
        return edit(id, hand, show, 0, new OrderEdit.SetRoster(show, present));
    }

    @PostMapping("/{show}/stems")
    String stem(
            @PathVariable RigId id,
            Hand hand,
            @PathVariable ShowId show,
            @RequestParam SongId song,
            @RequestParam(defaultValue = "") String stem,
            @RequestParam(defaultValue = "false") boolean round) {
        return edit(id, hand, show, 0, new OrderEdit.TurnStem(show, song, stem, round));
    }

    @GetMapping("/{show}/order.csv")
    ResponseEntity<byte[]> csv(@PathVariable RigId id, @PathVariable ShowId show) {
        return file(show, ".csv", "csv", OrderFiles.csv(running(id, show)));
    }

    @GetMapping("/{show}/order.ics")
    ResponseEntity<byte[]> calendar(@PathVariable RigId id, @PathVariable ShowId show) {
        return Refused.at(
                "day", () -> file(show, ".ics", "calendar", OrderFiles.calendar(running(id, show), rigs.edition(id))));
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        RigId id = RigId.of(Refusals.pathVariable(request, "id"));
        String show = Refusals.pathVariable(request, "show");
        String part = Refusals.pathVariable(request, "part");
        Echo echo = Refusals.answer(refused, request, response);
        return show.isEmpty()
                ? none(id, echo, page)
                : order(id, new ShowId(show), part.isEmpty() ? 0 : Integer.parseInt(part), echo, page);
    }

    private Running running(RigId id, ShowId show) {
        Plan plan = rigs.load(id).plan();
        return Running.of(
                plan.book(), plan.book().find(show).orElseThrow(() -> new Refused("show", Because.of("no.show-gone"))));
    }

    private String order(RigId id, ShowId show, int part, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        Report report = reports.of(stored);
        Optional<Show> found = stored.plan().book().find(show);
        if (found.isEmpty()) {
            return NotInRig.instead("show", id, "/order", echo);
        }
        String here = "/order/%s%s".formatted(show, part > 0 ? "?part=" + part : "");
        page.addAttribute("frame", Frame.of(stored, report, Room.ORDER, here))
                .addAttribute("echo", echo)
                .addAttribute(
                        "order", OrderPage.of(report, found.get(), part, "/rigs/%s/order/%s".formatted(id, show)));
        return "order/order";
    }

    /** A page beside the order, by its name in addresses, templates and for the template. */
    private String beside(RigId id, ShowId show, String name, Model page, BiFunction<Plan, Show, Object> view) {
        StoredRig stored = rigs.load(id);
        Optional<Show> known = stored.plan().book().find(show);
        if (known.isEmpty()) {
            return NotInRig.instead("show", id, "/order", Echo.NONE);
        }
        page.addAttribute(
                        "frame", Frame.of(stored, reports.of(stored), Room.ORDER, "/order/%s/%s".formatted(show, name)))
                .addAttribute(name, view.apply(stored.plan(), known.get()));
        return "order/" + name;
    }

    private String none(RigId id, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.ORDER, "/order"))
                .addAttribute("echo", echo)
                .addAttribute("songs", stored.plan().book().songs().size());
        return "order/none";
    }

    private String edit(RigId id, Hand hand, ShowId show, int part, Edit edit) {
        rigs.edit(id, hand, edit);
        return "redirect:/rigs/%s/order/%s%s".formatted(id, show, part > 0 ? "?part=" + part : "");
    }

    private static ResponseEntity<byte[]> file(ShowId show, String ending, String type, String text) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", type, StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"%s%s\"".formatted(show, ending))
                .body(text.getBytes(StandardCharsets.UTF_8));
    }
}
