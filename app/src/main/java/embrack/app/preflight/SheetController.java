package embrack.app.preflight;

import embrack.app.frame.DrawnOnce;
import embrack.app.frame.Frame;
import embrack.app.frame.Room;
import embrack.app.store.Hand;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.app.store.TickStore;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import embrack.core.sheet.Sheets;
import embrack.core.sheet.SwitchCard;
import java.security.Principal;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The sheets: what to program where, what is done, and the card to tape beside a board. */
@Controller
@RequestMapping("/rigs/{id}")
class SheetController {

    private final RigStore rigs;

    private final Reports reports;
    private final TickStore ticks;

    SheetController(RigStore rigs, Reports reports, TickStore ticks) {
        this.rigs = rigs;
        this.reports = reports;
        this.ticks = ticks;
    }

    @DrawnOnce
    @GetMapping("/sheets")
    String sheets(@PathVariable RigId id, @RequestParam(defaultValue = "false") boolean left, Model page) {
        StoredRig stored = enter(id, "/sheets" + (left ? "?left=true" : ""), page);
        page.addAttribute("page", SheetPage.of(progress(stored), left));
        return "preflight/sheets";
    }

    /** Ticks a line, or takes its tick back. A line that is on no sheet any more can only be taken off. */
    @PostMapping("/sheets/tick")
    String tick(
            @PathVariable RigId id,
            @RequestParam String key,
            @RequestParam(defaultValue = "false") boolean done,
            @RequestParam(defaultValue = "false") boolean left,
            @Nullable Principal who) {
        Optional<? extends Section.Line> line = Sheets.of(reports.of(rigs.load(id))).stream()
                .flatMap(Sheet::lines)
                .filter(l -> l.key().equals(key))
                .findFirst();
        if (done && line.isPresent()) {
            ticks.tick(id, line.get(), named(who));
        } else {
            ticks.untick(id, key);
        }
        return "redirect:/rigs/%s/sheets%s".formatted(id, left ? "?left=true" : "");
    }

    /** Begins to tick anew, as after a box was replaced by a new one. */
    @PostMapping("/sheets/clear")
    String clear(@PathVariable RigId id) {
        ticks.clear(id);
        return "redirect:/rigs/%s/sheets".formatted(id);
    }

    @DrawnOnce
    @GetMapping("/card")
    String card(@PathVariable RigId id, Model page) {
        StoredRig stored = enter(id, "/card", page);
        page.addAttribute("cards", SwitchCard.of(stored.plan()));
        return "preflight/card";
    }

    /** Who ticks. */
    static String named(@Nullable Principal who) {
        return who == null ? Hand.SOMEBODY : who.getName();
    }

    private StoredRig enter(RigId id, String here, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.PREFLIGHT, here))
                .addAttribute("revision", stored.revision());
        return stored;
    }

    private Progress progress(StoredRig stored) {
        return Progress.of(Sheets.of(reports.of(stored)), ticks.all(stored.id()));
    }
}
