package embrack.app.folder;

import embrack.core.plan.Plan;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** The pages of a rig that are read at a show, and can be kept on a device for when the server cannot be reached. */
final class Keepable {

    /** A page, by its address, and what it is; without words, one to which others lead. */
    record Kept(String href, String words) {}

    private static final List<Kept> ALWAYS = List.of(
            new Kept("/doors", "At doors"),
            new Kept("/sheets", "Sheets"),
            new Kept("/card", "Switch cards"),
            new Kept("/cues", "Cue sheet"),
            new Kept("/preflight", "Preflight"),
            new Kept("/wiring", "Wiring"),
            new Kept("/wiring/table", "Wiring as a table"),
            new Kept("/wiring/sound", "Sound"),
            new Kept("/wiring/power", "Power"),
            new Kept("/wiring/failures", "What fails with what"),
            new Kept("/lights", "Lights"),
            new Kept("/lights/sheet", "Cue sheet of lights"),
            new Kept("/gear", "Gear"),
            new Kept("/songs", "Songs"),
            new Kept("/switches", ""),
            new Kept("/folder", "Folder"));

    /** So many pages are kept of a rig at most; a page takes some 100 kB. */
    private static final int MOST = 200;

    private Keepable() {}

    /**
     * The pages of a plan, what is read first at the top.
     *
     * @param path where the pages of its rig are
     */
    static List<Kept> of(Plan plan, String path) {
        List<Kept> pages = new ArrayList<>();
        plan.book().tonight().ifPresent(show -> pages.addAll(order(show)));
        plan.book().songs().stream().map(Keepable::song).forEach(pages::add);
        pages.addAll(ALWAYS);
        SortedSet<SwitchAt> used = plan.switches().assignments().stream()
                .map(Assignment::at)
                .collect(Collectors.toCollection(TreeSet::new));
        used.stream()
                .map(at -> plan.pressedOn(at.board(), at.bank()).getFirst())
                .distinct()
                .map(first -> floor(first, bank(plan, first)))
                .forEach(pages::add);
        used.forEach(at -> pages.add(floor(at, "")));
        return pages.stream()
                .limit(MOST)
                .map(page -> new Kept(path + page.href(), page.words()))
                .toList();
    }

    private static List<Kept> order(Show show) {
        return List.of(
                new Kept("/order/" + show.id(), "Order"),
                new Kept("/order", ""),
                new Kept("/order/%s/joins".formatted(show.id()), "Joins"));
    }

    private static Kept floor(SwitchAt at, String words) {
        return new Kept("/switches/%s/%d/%s".formatted(at.board(), at.bank(), at.place()), words);
    }

    private static String bank(Plan plan, SwitchAt at) {
        return "%s, bank %s".formatted(plan.rig().name(at.board()), plan.bankName(at));
    }

    private static Kept song(Song song) {
        return new Kept("/songs/" + song.id(), song.title().text());
    }
}
