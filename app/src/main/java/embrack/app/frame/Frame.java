package embrack.app.frame;

import embrack.app.store.StoredRig;
import embrack.core.check.Report;
import embrack.core.check.rule.Severity;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.show.Running;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What stands around the content of every room of a rig.
 *
 * @param rig the number of the rig
 * @param revision the revision that the page shows
 * @param path where the rig's pages are, "/rigs/7"
 * @param here the path of this page, to come back to
 * @param rooms the rail
 * @param health marks of what the checks found; a tick when nothing
 */
public record Frame(
        long rig,
        int revision,
        String path,
        String here,
        String rigName,
        List<Door> rooms,
        List<Mark> health,
        Optional<String> undo,
        Optional<String> redo) {

    /** A room in the rail, with a live figure. */
    public record Door(String words, String figure, String href, boolean isHere) {}

    /** The frame of a page. */
    public static Frame of(StoredRig stored, Report report, Room here, String herePath) {
        String path = "/rigs/" + stored.id();
        List<Door> doors = Stream.of(Room.values())
                .map(room -> new Door(room.words(), figure(room, report), path + "/" + room.path(), room == here))
                .toList();
        return new Frame(
                stored.id().number(),
                stored.revision(),
                path,
                path + herePath,
                stored.plan().rig().name().text(),
                doors,
                health(report),
                stored.undo(),
                stored.redo());
    }

    private static String figure(Room room, Report report) {
        Plan plan = report.plan();
        return switch (room) {
            case GEAR ->
                plan.rig().devices().size() == 1
                        ? "1 box"
                        : plan.rig().devices().size() + " boxes";
            case WIRING -> Words.count(plan.rig().links().size(), "link");
            case SWITCHES -> "%d in use".formatted(plan.switches().assignments().size());
            case SONGS ->
                plan.book().songs().isEmpty()
                        ? "none yet"
                        : String.valueOf(plan.book().songs().size());
            case ORDER ->
                plan.book()
                        .tonight()
                        .map(show -> Running.of(plan.book(), show).words())
                        .orElse("none yet");
            case PREFLIGHT -> preflight(report);
        };
    }

    private static String preflight(Report report) {
        if (report.stopsTheShow()) {
            return Words.count(report.count(Severity.STOPS), "stop");
        }
        if (report.findings().isEmpty()) {
            return report.proofs().isEmpty() ? "nothing yet" : "clean";
        }
        return "%d to look at".formatted(report.findings().size());
    }

    private static List<Mark> health(Report report) {
        List<Mark> marks = new ArrayList<>();
        int stops = report.count(Severity.STOPS);
        int looks = report.count(Severity.LOOK);
        int notes = report.count(Severity.NOTE);
        if (stops > 0) {
            marks.add(Mark.of(Severity.STOPS, stops == 1 ? "1 stops the show" : stops + " stop the show"));
        }
        if (looks > 0) {
            marks.add(Mark.of(Severity.LOOK, looks + " look"));
        }
        if (notes > 0) {
            marks.add(Mark.of(Severity.NOTE, Words.count(notes, "note")));
        }
        if (marks.isEmpty()) {
            marks.add(
                    report.proofs().isEmpty()
                            ? Mark.of(Severity.NOTE, "nothing to prove yet")
                            : new Mark("tick", "exact", "all proven"));
        }
        return marks;
    }
}
