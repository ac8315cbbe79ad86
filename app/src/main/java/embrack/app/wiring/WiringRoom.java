package embrack.app.wiring;

import embrack.app.frame.Echo;
import embrack.app.frame.FindingView;
import embrack.app.frame.Frame;
import embrack.app.frame.Room;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.check.Report;
import embrack.core.check.rule.Topic;
import embrack.core.plan.Plan;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts together what the pages of the wiring room show. */
@Component
class WiringRoom {

    private final RigStore rigs;
    private final Reports reports;

    WiringRoom(RigStore rigs, Reports reports) {
        this.rigs = rigs;
        this.reports = reports;
    }

    /** The picture, with something in focus. */
    String picture(RigId id, String at, String to, LoadForm load, Echo echo, Model page) {
        Entered entered = enter(id, "", echo, page, Topic.WIRING, Topic.RIG);
        page.addAttribute("wiring", WiringPage.of(entered.plan(), Focus.parse(entered.plan(), at, to), load));
        return "wiring/picture";
    }

    /** The plain table. */
    String table(RigId id, Echo echo, Model page) {
        Entered entered = enter(id, "table", echo, page);
        page.addAttribute(
                "table",
                LinkTable.of(
                        entered.plan(),
                        echo.typed().getOrDefault("from", ""),
                        echo.typed().getOrDefault("to", "")));
        return "wiring/table";
    }

    /** Sound, with something in focus. */
    String sound(RigId id, String state, String at, Echo echo, Model page) {
        page.addAttribute(
                "sound",
                SoundPage.of(enter(id, "sound", echo, page, Topic.SOUND).plan(), state, at));
        return "wiring/sound";
    }

    /** A rig with what was found in it. */
    record Entered(Plan plan, Report report) {}

    /**
     * The newest revision, with what all pages of the room share.
     *
     * @param tab the last part of the path
     * @param topics what the findings that belong on the page are about
     */
    Entered enter(RigId id, String tab, Echo echo, Model page, Topic... topics) {
        StoredRig stored = rigs.load(id);
        Report report = reports.of(stored);
        page.addAttribute("frame", Frame.of(stored, report, Room.WIRING, tab.isEmpty() ? "/wiring" : "/wiring/" + tab))
                .addAttribute("revision", stored.revision())
                .addAttribute("tab", tab)
                .addAttribute(
                        "findings",
                        FindingView.all(
                                report.findings().stream()
                                        .filter(f -> Stream.of(topics).anyMatch(f::isAbout)),
                                stored.plan()))
                .addAttribute("echo", echo);
        return new Entered(stored.plan(), report);
    }
}
