package embrack.app.send;

import embrack.app.frame.Echo;
import embrack.app.frame.Frame;
import embrack.app.frame.Refusals;
import embrack.app.frame.Room;
import embrack.app.store.LineStore;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.app.store.TickStore;
import embrack.core.edit.Refused;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import embrack.core.sheet.Sheets;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The page of what boxes are asked, whole or what of it changes by itself. */
@Component
class SendRoom {

    private final RigStore rigs;
    private final Reports reports;
    private final LineStore store;
    private final TickStore ticks;
    private final Sendings sendings;

    SendRoom(RigStore rigs, Reports reports, LineStore store, TickStore ticks, Sendings sendings) {
        this.rigs = rigs;
        this.reports = reports;
        this.store = store;
        this.ticks = ticks;
        this.sendings = sendings;
    }

    /** The whole page. */
    String enter(RigId id, Echo echo, Model page) {
        StoredRig stored = rigs.load(id);
        page.addAttribute("frame", Frame.of(stored, reports.of(stored), Room.LINE, "/line/send"));
        part(stored, page);
        page.addAttribute("echo", echo);
        return "send/send";
    }

    /** What of it changes by itself. */
    String part(StoredRig stored, Model page) {
        page.addAttribute("base", "/rigs/%s/line/send".formatted(stored.id()))
                .addAttribute("echo", Echo.NONE)
                .addAttribute("line", "/rigs/%s/line".formatted(stored.id()))
                .addAttribute(
                        "send",
                        SendPage.of(
                                stored.plan(),
                                sendings.of(stored),
                                store.told(stored.id()),
                                store.loops(stored.id()),
                                store.identities(stored.id()),
                                taught(stored)));
        return "send/send :: asked";
    }

    private Set<String> taught(StoredRig stored) {
        Progress progress = Progress.of(Sheets.of(reports.of(stored)), ticks.all(stored.id()));
        return progress.sheets().stream()
                .flatMap(Sheet::lines)
                .filter(line -> progress.state(line) == Progress.State.DONE)
                .map(Section.Line::key)
                .collect(Collectors.toSet());
    }

    /** Somebody says that a box has learned something, as the sheets ask for it. */
    void learned(StoredRig stored, String line, String who) {
        Sheets.of(reports.of(stored)).stream()
                .flatMap(Sheet::lines)
                .filter(one -> one.key().equals(line))
                .findFirst()
                .ifPresent(one -> ticks.tick(stored.id(), one, who));
    }

    /** The whole page again after a refusal, with what was typed. */
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        Echo echo = Refusals.answer(refused, request, response);
        return enter(RigId.of(Refusals.pathVariable(request, "id")), echo, page);
    }
}
