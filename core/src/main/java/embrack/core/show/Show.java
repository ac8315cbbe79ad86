package embrack.core.show;

import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * One evening: parts in order, and who plays.
 *
 * @param start when the countdown ends and the show begins
 * @param slotMicros how long it may take from there, microseconds; 0 for as long as it likes
 * @param present the parts that somebody plays live tonight: "Drums"
 * @param turned stems that sound although somebody plays their part, or are silent although nobody does
 * @param lastPart the highest number that a part ever had, also one that is gone; at least that of the parts that are
 * there
 * @param absent boxes that are not there tonight
 * @param anyOrder whether songs are called on the night, whatever comes after what
 * @param folder what goes to the venue, and to whom
 */
public record Show(
        ShowId id,
        TapeLabel name,
        Optional<Day> day,
        Optional<TimeOfDay> start,
        long slotMicros,
        List<Entry> order,
        SortedSet<TapeLabel> present,
        SortedSet<StemAt> turned,
        int lastPart,
        SortedSet<DeviceId> absent,
        boolean anyOrder,
        Folder folder) {

    /** As many parts as a show may have. */
    public static final int MAX_ENTRIES = 300;

    public Show {
        order = List.copyOf(order);
        present = Collections.unmodifiableSortedSet(new TreeSet<>(present));
        turned = Collections.unmodifiableSortedSet(new TreeSet<>(turned));
        absent = Collections.unmodifiableSortedSet(new TreeSet<>(absent));
        if (slotMicros < 0 || slotMicros > 12 * 3_600_000_000L) {
            throw new IllegalArgumentException("A slot is 0:00 to 12:00:00.");
        }
        if (order.size() > MAX_ENTRIES) {
            throw new IllegalArgumentException("A show has at most %d parts.".formatted(MAX_ENTRIES));
        }
        var numbers = new TreeSet<Integer>();
        for (Entry entry : order) {
            if (!numbers.add(entry.number())) {
                throw new IllegalArgumentException("part %d of \"%s\" is there twice".formatted(entry.number(), name));
            }
        }
        lastPart = Math.max(lastPart, numbers.isEmpty() ? 0 : numbers.last());
    }

    /** A show without parts. */
    public static Show empty(ShowId id, TapeLabel name) {
        return new Show(
                id,
                name,
                Optional.empty(),
                Optional.empty(),
                0,
                List.of(),
                Collections.emptySortedSet(),
                Collections.emptySortedSet(),
                0,
                Collections.emptySortedSet(),
                false,
                Folder.USUAL);
    }

    /** The part of that number. */
    public Optional<Entry> entry(int number) {
        return order.stream().filter(entry -> entry.number() == number).findFirst();
    }

    /** A number that no part has or ever had. */
    public int nextNumber() {
        return lastPart + 1;
    }

    /** Whether a stem sounds tonight: nobody plays its part, unless it was turned. */
    public boolean sounds(SongId song, Stem stem) {
        boolean covered = stem.player().filter(present::contains).isPresent();
        return covered == turned.contains(new StemAt(song, stem.name()));
    }

    public Show withOrder(List<Entry> others) {
        return new Show(id, name, day, start, slotMicros, others, present, turned, lastPart, absent, anyOrder, folder);
    }

    /** In which numbers of parts up to that one count as given, also where the parts are no more. */
    public Show numberedFrom(int last) {
        return new Show(
                id,
                name,
                day,
                start,
                slotMicros,
                order,
                present,
                turned,
                Math.max(lastPart, last),
                absent,
                anyOrder,
                folder);
    }

    public Show withEntry(Entry entry) {
        return withOrder(order.stream()
                .map(e -> e.number() == entry.number() ? entry : e)
                .toList());
    }

    /** With one more part at the end. */
    public Show withMore(Entry entry) {
        List<Entry> more = new ArrayList<>(order);
        more.add(entry);
        return withOrder(more);
    }

    public Show withPresent(SortedSet<TapeLabel> others) {
        return new Show(id, name, day, start, slotMicros, order, others, turned, lastPart, absent, anyOrder, folder);
    }

    public Show withTurned(SortedSet<StemAt> others) {
        return new Show(id, name, day, start, slotMicros, order, present, others, lastPart, absent, anyOrder, folder);
    }

    public Show withAbsent(SortedSet<DeviceId> others) {
        return new Show(id, name, day, start, slotMicros, order, present, turned, lastPart, others, anyOrder, folder);
    }

    public Show inAnyOrder(boolean other) {
        return new Show(id, name, day, start, slotMicros, order, present, turned, lastPart, absent, other, folder);
    }

    public Show withFolder(Folder other) {
        return new Show(id, name, day, start, slotMicros, order, present, turned, lastPart, absent, anyOrder, other);
    }

    /** Without the songs' stems and parts of a song. */
    Show without(SongId song) {
        SortedSet<StemAt> left = new TreeSet<>(turned);
        left.removeIf(stem -> stem.song().equals(song));
        return withOrder(order.stream()
                        .filter(entry -> entry.song().filter(song::equals).isEmpty())
                        .toList())
                .withTurned(left);
    }

    Show without(DeviceId board) {
        SortedSet<DeviceId> left = new TreeSet<>(absent);
        left.remove(board);
        return pressedAt(at -> Optional.of(at).filter(here -> !here.board().equals(board)))
                .withAbsent(left)
                .withFolder(folder.without(board));
    }

    /** With every press where {@code now} says that it is now, or nowhere. */
    Show pressedAt(Function<SwitchAt, Optional<SwitchAt>> now) {
        return withOrder(order.stream()
                .map(entry -> entry.withCalls(entry.calls().at(now)))
                .toList());
    }
}
