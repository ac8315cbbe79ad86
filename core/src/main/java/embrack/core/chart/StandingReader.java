package embrack.core.chart;

import embrack.core.chart.Standing.Loading;
import embrack.core.name.TapeLabel;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.Function;

/** Reads the lines about how parts come to stand as they do. */
final class StandingReader {

    private final Function<Cursor, List<Part>> parts;
    private final BiPredicate<Verb, PartId> known;
    private final List<List<PartId>> alone = new ArrayList<>();
    private final List<Action> atStart = new ArrayList<>();
    private final Set<PartId> kept = new LinkedHashSet<>();
    private final Set<PartId> byHand = new LinkedHashSet<>();
    private final Map<PartId, PartId> within = new LinkedHashMap<>();
    private Optional<Loading> loading = Optional.empty();

    /**
     * A reader.
     *
     * @param parts reads parts that lines above are about
     * @param known whether the chart can do a verb to a part
     */
    StandingReader(Function<Cursor, List<Part>> parts, BiPredicate<Verb, PartId> known) {
        this.parts = parts;
        this.known = known;
    }

    /** Reads the line at the cursor, if it is one of these. */
    boolean accepts(Cursor cursor) {
        if (cursor.accept("one at a time")) {
            colon(cursor, "one at a time: Scene 1..8");
            readAlone(cursor);
        } else if (cursor.accept("at start")) {
            colon(cursor, "at start: recall Scene 1; open Main");
            atStart.addAll(ActionReader.list(cursor, known));
        } else if (cursor.accept("kept at power-off")) {
            colon(cursor, "kept at power-off: Input 1..16");
            parts(cursor).forEach(part -> kept.add(part.id()));
        } else if (cursor.accept("also by hand")) {
            colon(cursor, "also by hand: Input 1..16");
            parts(cursor).forEach(part -> byHand.add(part.id()));
        } else if (cursor.accept("only in")) {
            readWithin(cursor);
        } else if (cursor.accept("loads memory")) {
            colon(cursor, "loads memory: Memory 1..99; deaf for 300 ms");
            readLoading(cursor);
        } else {
            return false;
        }
        return true;
    }

    Standing standing() {
        return new Standing(alone, atStart, kept, byHand, within, loading);
    }

    private void readAlone(Cursor cursor) {
        int column = cursor.column();
        List<Part> group = parts(cursor);
        for (Part part : group) {
            if (alone.stream().anyMatch(other -> other.contains(part.id()))) {
                throw new Fault(column, 1, "%s stands in such a line already.".formatted(part.name()));
            }
        }
        if (group.size() < 2) {
            throw new Fault(column, 1, "These are two parts or more of which one is on: one at a time: Scene 1..8");
        }
        alone.add(group.stream().map(Part::id).toList());
    }

    /** {@code only in Patch 2: Cutoff; Release}: what stands right of the colon obeys only while that is chosen. */
    private void readWithin(Cursor cursor) {
        int colon = cursor.find(':');
        if (colon < 0) {
            throw cursor.fault("A colon is missing: only in Patch 2: Cutoff; Release");
        }
        int column = cursor.column();
        List<Part> chosen = parts.apply(cursor.until(colon));
        if (chosen.size() != 1 || !chooses(chosen.getFirst())) {
            throw new Fault(column, 1, "This names one part that a line above chooses: select Patch 2: pc 2");
        }
        int names = cursor.column();
        for (Part part : parts(cursor)) {
            if (chooses(part)) {
                throw new Fault(
                        names, 1, "%s is itself chosen, so it cannot obey only in another.".formatted(part.name()));
            }
            if (within.putIfAbsent(part.id(), chosen.getFirst().id()) != null) {
                throw new Fault(names, 1, "%s stands in such a line already.".formatted(part.name()));
            }
        }
    }

    private void readLoading(Cursor cursor) {
        int column = cursor.column();
        List<Part> memories = parts(cursor);
        int deaf = cursor.isAtEnd() ? 0 : deafMillis(cursor);
        Optional<TapeLabel> other =
                memories.stream().filter(part -> !chooses(part)).map(Part::name).findFirst();
        if (other.isPresent()) {
            throw new Fault(column, 1, "No line above chooses %s: select %1$s: pc 1".formatted(other.get()));
        }
        loading = Optional.of(new Loading(memories.stream().map(Part::id).toList(), deaf));
    }

    private static int deafMillis(Cursor cursor) {
        String millis = cursor.accept("deaf for") ? cursor.token() : "";
        if (!millis.matches("\\d{1,5}") || Integer.parseInt(millis) > Loading.LONGEST_MILLIS || !cursor.accept("ms")) {
            throw cursor.fault("How long does it obey nothing, 0 to %d ms? Write such as \"deaf for 300 ms\"."
                    .formatted(Loading.LONGEST_MILLIS));
        }
        return Integer.parseInt(millis);
    }

    /** Parts with semicolons between them, up to the end or to something that is no name: "deaf for 300 ms". */
    private List<Part> parts(Cursor cursor) {
        List<Part> read = new ArrayList<>();
        do {
            int semicolon = cursor.find(';');
            read.addAll(parts.apply(cursor.until(semicolon < 0 ? Integer.MAX_VALUE : semicolon)));
            if (semicolon < 0) {
                break;
            }
        } while (!cursor.rest().startsWith("deaf for"));
        return read;
    }

    private boolean chooses(Part part) {
        return List.of(Verb.values()).stream().anyMatch(verb -> verb.isExclusive() && known.test(verb, part.id()));
    }

    private static void colon(Cursor cursor, String example) {
        if (!cursor.accept(":")) {
            throw cursor.fault("A colon is missing: " + example);
        }
    }
}
