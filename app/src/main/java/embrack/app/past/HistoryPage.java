package embrack.app.past;

import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What was changed, by day, and by person within it.
 *
 * @param path where its pages are
 * @param named revisions that somebody named
 * @param older where the list goes on; empty at its end
 */
record HistoryPage(String path, int newest, List<Day> days, List<Row> named, String older) {

    /** As many are shown at once. */
    static final int MOST = 60;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE, d MMMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);

    /** A day, with who changed something on it one after the other. */
    record Day(String words, List<Turn> turns) {}

    /** What somebody did without anybody between. */
    record Turn(String who, List<Row> rows) {}

    /** A change; new, when it came since whoever reads looked here last. */
    record Row(int n, String time, String words, String name, boolean isNew) {}

    /**
     * The page.
     *
     * @param from the newest that it shows
     * @param looked up to which revision whoever reads has looked at it before
     */
    static HistoryPage of(StoredRig stored, int from, int looked, List<RigStore.Past> past, List<RigStore.Past> named) {
        Map<LocalDate, List<RigStore.Past>> byDay = new LinkedHashMap<>();
        past.stream()
                .limit(MOST)
                .forEach(one -> byDay.computeIfAbsent(one.at().toLocalDate(), day -> new ArrayList<>())
                        .add(one));
        List<Day> days = new ArrayList<>();
        byDay.forEach((day, rows) -> days.add(new Day(DAY.format(day), turns(rows, looked))));
        return new HistoryPage(
                "/rigs/%s/history".formatted(stored.id()),
                stored.revision(),
                days,
                named.stream().map(one -> row(one, Integer.MAX_VALUE)).toList(),
                past.size() > MOST ? "?from=" + (from - MOST) : "");
    }

    private static List<Turn> turns(List<RigStore.Past> rows, int looked) {
        List<Turn> turns = new ArrayList<>();
        for (RigStore.Past one : rows) {
            if (turns.isEmpty() || !turns.getLast().who().equals(one.author())) {
                turns.add(new Turn(one.author(), new ArrayList<>()));
            }
            turns.getLast().rows().add(row(one, looked));
        }
        return turns;
    }

    private static Row row(RigStore.Past one, int looked) {
        return new Row(one.n(), TIME.format(one.at()), one.summary(), one.name(), one.n() > looked);
    }
}
