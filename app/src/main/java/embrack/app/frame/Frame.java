package embrack.app.frame;

import embrack.app.store.StoredRig;
import embrack.core.check.Report;
import embrack.core.check.rule.Severity;
import embrack.core.offer.Missing;
import embrack.core.offer.UsualReaders;
import embrack.core.plan.Plan;
import embrack.core.show.Folder;
import embrack.core.show.Running;
import embrack.core.show.Show;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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
 * @param next what is missing before anything can be proven
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
        Optional<String> redo,
        Optional<Next> next) {

    private static final String ROOM = "app/frame";

    /** What is to be done next, and where. */
    public record Next(String words, String href) {}

    /** A room in the rail, with a live figure. */
    public record Door(String words, String figure, String href, boolean isHere) {}

    /** The frame of a page of a room. */
    public static Frame of(StoredRig stored, Report report, Room here, String herePath) {
        return of(stored, report, Optional.of(here), herePath);
    }

    /** The frame of a page that is about the rig and in none of its rooms. */
    public static Frame outside(StoredRig stored, Report report, String herePath) {
        return of(stored, report, Optional.empty(), herePath);
    }

    private static Frame of(StoredRig stored, Report report, Optional<Room> here, String herePath) {
        String path = "/rigs/" + stored.id();
        List<Door> doors = Stream.of(Room.values())
                .map(room -> new Door(
                        say(room.key()),
                        figure(room, report),
                        path + "/" + room.key(),
                        here.filter(room::equals).isPresent()))
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
                stored.redo(),
                Missing.of(stored.plan()).map(missing -> next(stored.plan(), missing, path)));
    }

    private static Next next(Plan plan, Missing missing, String path) {
        Phrase words = Phrase.of(
                ROOM, "next." + missing.step().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        if (missing.sender().isPresent() && missing.receiver().isPresent()) {
            words = words.with("sender", plan.rig().name(missing.sender().get()))
                    .with("receiver", plan.rig().name(missing.receiver().get()));
        }
        return new Next(
                Spoken.words().say(words),
                path
                        + switch (missing.step()) {
                            case ADD_SENDER, ADD_RECEIVER -> "/gear";
                            case JOIN -> "/wiring";
                            case SAY -> "/switches";
                        });
    }

    private static String figure(Room room, Report report) {
        Plan plan = report.plan();
        return switch (room) {
            case GEAR -> count("boxes", plan.rig().devices().size());
            case WIRING -> count("links", plan.rig().links().size());
            case LIGHTS -> count("fixtures", plan.lights().fixtures().size());
            case SWITCHES -> count("in-use", plan.switches().assignments().size());
            case SONGS -> count("songs-here", plan.book().songs().size());
            case ORDER ->
                plan.book()
                        .tonight()
                        .map(show -> Running.of(plan.book(), show).words())
                        .orElseGet(() -> say("none-yet"));
            case PREFLIGHT -> preflight(report);
            case RUN ->
                count(
                        "parts",
                        plan.book()
                                .tonight()
                                .map(show -> show.order().size())
                                .orElse(plan.book().songs().size()));
            case FOLDER ->
                count(
                        "readers",
                        UsualReaders.or(
                                        plan,
                                        plan.book().tonight().map(Show::folder).orElse(Folder.USUAL))
                                .size());
            case LINE ->
                count("to-press", (int) report.proofs().stream()
                        .filter(proof -> proof.messages() > 0)
                        .count());
            case LOG -> say("what-went-wrong");
        };
    }

    private static String say(String key) {
        return Spoken.words().say(Phrase.of(ROOM, key));
    }

    private static String count(String key, int number) {
        return Spoken.words().say(Phrase.of(ROOM, key).with("number", number));
    }

    private static String preflight(Report report) {
        if (report.stopsTheShow()) {
            return count("stops", report.count(Severity.STOPS));
        }
        if (report.findings().isEmpty()) {
            return say(report.proofs().isEmpty() ? "nothing-yet" : "clean");
        }
        return count("to-look-at", report.findings().size());
    }

    private static List<Mark> health(Report report) {
        List<Mark> marks = new ArrayList<>();
        int stops = report.count(Severity.STOPS);
        int looks = report.count(Severity.LOOK);
        int notes = report.count(Severity.NOTE);
        if (stops > 0) {
            marks.add(Mark.of(Severity.STOPS, count("health.stops", stops)));
        }
        if (looks > 0) {
            marks.add(Mark.of(Severity.LOOK, count("health.looks", looks)));
        }
        if (notes > 0) {
            marks.add(Mark.of(Severity.NOTE, count("health.notes", notes)));
        }
        if (marks.isEmpty()) {
            marks.add(
                    report.proofs().isEmpty()
                            ? Mark.of(Severity.NOTE, say("health.nothing"))
                            : new Mark("tick", "exact", say("health.proven")));
        }
        return marks;
    }
}
