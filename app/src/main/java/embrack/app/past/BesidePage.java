package embrack.app.past;

import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.check.Report;
import embrack.core.past.Difference;
import embrack.core.past.Thing;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import embrack.core.sheet.Sheets;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Two revisions beside each other.
 *
 * @param path where its forms are sent; what is brought back is as it was in the earlier one
 * @param isNewest whether the later one is what the rig is now, so that things can be brought back
 */
record BesidePage(String path, Side then, Side now, boolean isNewest, List<Room> rooms, List<OnSheet> sheets) {

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

    /** One of the two. */
    record Side(int n, String when, String who, String name, String words) {}

    /** What is another in a room. */
    record Room(String words, List<Difference> differences) {}

    /** Lines of a sheet that say something else, as they were and as they are. */
    record OnSheet(String title, List<String> before, List<String> after) {}

    static BesidePage of(StoredRig stored, RigStore.Past earlier, RigStore.Past later, Report then, Report now) {
        Map<Thing.Room, List<Difference>> byRoom = Difference.between(then.plan(), now.plan()).stream()
                .collect(Collectors.groupingBy(
                        difference -> difference.thing().room(), LinkedHashMap::new, Collectors.toList()));
        return new BesidePage(
                "/rigs/%s/history/%d".formatted(stored.id(), earlier.n()),
                side(earlier),
                side(later),
                later.n() == stored.revision(),
                byRoom.entrySet().stream()
                        .map(entry -> new Room(words(entry.getKey()), entry.getValue()))
                        .toList(),
                sheets(then, now));
    }

    private static Side side(RigStore.Past past) {
        return new Side(past.n(), WHEN.format(past.at()), past.author(), past.name(), past.summary());
    }

    private static String words(Thing.Room room) {
        return room.name().charAt(0) + room.name().substring(1).toLowerCase(Locale.ROOT);
    }

    private static List<OnSheet> sheets(Report then, Report now) {
        Map<String, Sheet> before = byId(then);
        Map<String, Sheet> after = byId(now);
        return Stream.concat(after.keySet().stream(), before.keySet().stream())
                .distinct()
                .map(id -> onSheet(before.get(id), after.get(id)))
                .filter(sheet -> !sheet.before().isEmpty() || !sheet.after().isEmpty())
                .toList();
    }

    private static Map<String, Sheet> byId(Report report) {
        return Sheets.of(report).stream()
                .collect(Collectors.toMap(Sheet::id, sheet -> sheet, (one, other) -> one, LinkedHashMap::new));
    }

    private static OnSheet onSheet(@Nullable Sheet before, @Nullable Sheet after) {
        Map<String, String> was = lines(before);
        Map<String, String> is = lines(after);
        String title = after != null ? after.title() : before != null ? before.title() : "";
        return new OnSheet(title, without(was, is), without(is, was));
    }

    /** Those of some lines that others do not say. */
    private static List<String> without(Map<String, String> lines, Map<String, String> others) {
        return lines.entrySet().stream()
                .filter(line -> !line.getValue().equals(others.get(line.getKey())))
                .map(Map.Entry::getValue)
                .toList();
    }

    private static Map<String, String> lines(@Nullable Sheet sheet) {
        return Stream.ofNullable(sheet)
                .flatMap(Sheet::lines)
                .collect(Collectors.toMap(
                        Section.Line::key, Section.Line::words, (one, other) -> one, LinkedHashMap::new));
    }
}
