package embrack.app.preflight;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Frame;
import embrack.app.frame.Room;
import embrack.app.store.Bench;
import embrack.app.store.LineStore;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.app.store.TickStore;
import embrack.core.line.DoorsHeard;
import embrack.core.line.Walk;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.AtDoors;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Section;
import java.security.Principal;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The list at doors: how every box has to stand before the first press, ticked on the way round. */
@Controller
@RequestMapping("/rigs/{id}/doors")
class DoorsController {

    private final RigStore rigs;
    private final Reports reports;
    private final TickStore ticks;
    private final LineStore line;

    DoorsController(RigStore rigs, Reports reports, TickStore ticks, LineStore line) {
        this.rigs = rigs;
        this.reports = reports;
        this.ticks = ticks;
        this.line = line;
    }

    @DrawnOnce
    @GetMapping
    String doors(@PathVariable RigId id, Model page) {
        StoredRig stored = rigs.load(id);
        Progress progress = Progress.of(List.of(AtDoors.of(stored.plan())), ticks.atDoors(id));
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.PREFLIGHT, "/doors"))
                .addAttribute("page", SheetPage.of(progress, false));
        return "preflight/doors";
    }

    /** Ticks a line, or takes its tick back. */
    @PostMapping("/tick")
    String tick(
            @PathVariable RigId id,
            @RequestParam String key,
            @RequestParam(defaultValue = "false") boolean done,
            @Nullable Principal who) {
        Optional<? extends Section.Line> line = AtDoors.of(rigs.load(id).plan())
                .lines()
                .filter(l -> l.key().equals(key))
                .findFirst();
        if (done && line.isPresent()) {
            ticks.tick(id, line.get(), SheetController.named(who));
        } else {
            ticks.untick(id, key);
        }
        return "redirect:/rigs/%s/doors".formatted(id);
    }

    /**
     * A real board sent something: what the list says of it is ticked, or no longer.
     *
     * @param port at which it came
     * @param sent messages in hexadecimal, blanks between, the newest last
     */
    @PostMapping("/heard")
    String heard(
            @PathVariable RigId id,
            @RequestParam(defaultValue = "") String port,
            @RequestParam(defaultValue = "") String sent,
            Bench bench,
            @Nullable Principal who) {
        StoredRig stored = rigs.load(id);
        Optional<DeviceId> board =
                line.plugged(stored, bench.place(), List.of(port), false).getOrDefault(port, Optional.empty());
        if (board.isPresent() && sent.matches("(?:[0-9a-fA-F]{2} ?){1,2048}")) {
            List<Message> messages = Decoder.hex(sent).messages();
            SortedMap<String, Boolean> told = new DoorsHeard(Walk.of(stored.plan())).tells(board.get(), messages);
            AtDoors.of(stored.plan())
                    .lines()
                    .filter(line -> told.containsKey(line.key()))
                    .forEach(line -> tick(id, line, Objects.requireNonNull(told.get(line.key())), who));
        }
        return "redirect:/rigs/%s/doors".formatted(id);
    }

    private void tick(RigId id, Section.Line line, boolean done, @Nullable Principal who) {
        if (done) {
            ticks.tick(id, line, SheetController.named(who));
        } else {
            ticks.untick(id, line.key());
        }
    }

    /** Begins to tick anew, for another evening. */
    @PostMapping("/clear")
    String clear(@PathVariable RigId id) {
        ticks.clearDoors(id);
        return "redirect:/rigs/%s/doors".formatted(id);
    }
}
