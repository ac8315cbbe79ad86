package embrack.core.show;

import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.switches.Duty;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * An order by the clock.
 *
 * @param parts one for each entry, in order; times from the start of the show, so that what comes before it is negative
 */
public record Running(Show show, List<Part> parts) {

    /**
     * One part with its times.
     *
     * @param start microseconds from the start of the show
     * @param length microseconds; 0 when it is not known
     * @param key the key it is in tonight, for a song
     * @param pad the key of the pad under it
     */
    public record Part(Entry entry, long startMicros, long lengthMicros, Optional<Key> key, Optional<Key> pad) {

        public long endMicros() {
            return startMicros + lengthMicros;
        }
    }

    public Running {
        parts = List.copyOf(parts);
    }

    /** The times of a show whose songs are in the book. */
    public static Running of(Book book, Show show) {
        List<Entry> order = show.order();
        int begin = 0;
        while (begin < order.size() && order.get(begin).item().isBeforeStart()) {
            begin++;
        }
        long[] starts = new long[order.size()];
        for (int i = begin - 1; i >= 0; i--) {
            long next = i + 1 == begin ? 0 : starts[i + 1];
            starts[i] = next
                    - length(book, order.get(i))
                    - (i + 1 == begin ? 0 : order.get(i).transition().gapMicros());
        }
        for (int i = begin + 1; i < order.size(); i++) {
            Entry before = order.get(i - 1);
            starts[i] =
                    starts[i - 1] + length(book, before) + before.transition().gapMicros();
        }
        List<Part> parts = new ArrayList<>();
        Optional<Key> next = Optional.empty();
        for (int i = order.size() - 1; i >= 0; i--) {
            Entry entry = order.get(i);
            Optional<Key> key = key(book, entry);
            Optional<Key> behind = next;
            Optional<Key> pad = entry.pad().flatMap(p -> p.key().or(() -> behind.map(Key::root)));
            parts.add(new Part(entry, starts[i], length(book, entry), key, pad));
            next = key.or(() -> behind);
        }
        return new Running(show, parts.reversed());
    }

    private static long length(Book book, Entry entry) {
        return entry.song().flatMap(book::find).map(Song::usualLengthMicros).orElse(entry.micros());
    }

    private static Optional<Key> key(Book book, Entry entry) {
        return entry.song().flatMap(book::find).flatMap(song -> entry.key().or(song::played));
    }

    /** Songs behind which nothing sounds until somebody presses for the next song: no pad lies there, nobody speaks. */
    public List<Part> silences() {
        List<Part> silent = new ArrayList<>();
        for (int i = 0; i + 1 < parts.size(); i++) {
            Part one = parts.get(i);
            Part next = parts.get(i + 1);
            boolean isBare = one.pad().isEmpty() && next.pad().isEmpty();
            boolean isBetweenSongs =
                    one.entry().song().isPresent() && next.entry().song().isPresent();
            if (isBare && isBetweenSongs && one.entry().transition().way() == Transition.Way.ON_DEMAND) {
                silent.add(one);
            }
        }
        return silent;
    }

    /** When the last part is over, microseconds from the start. */
    public long endMicros() {
        return parts.stream().mapToLong(Part::endMicros).max().orElse(0);
    }

    /** What is left of the slot, microseconds; negative when it does not fit; empty without a slot. */
    public Optional<Long> roomMicros() {
        return show.slotMicros() == 0 ? Optional.empty() : Optional.of(show.slotMicros() - Math.max(0, endMicros()));
    }

    /** Whether it fits, in words: "fits, 4:10 left", "0:30 too long", "42:10". */
    public String words() {
        return roomMicros()
                .map(room -> room >= 0
                        ? "fits, %s left".formatted(Clock.brief(room))
                        : "%s too long".formatted(Clock.brief(-room)))
                .orElseGet(() -> Clock.brief(Math.max(0, endMicros())));
    }

    /**
     * How often each switch is pressed on the night: to begin parts, to go on where the next waits, and inside songs.
     */
    public SortedMap<SwitchAt, Integer> presses(Book book, Switches switches) {
        SortedMap<SwitchAt, Integer> presses = new TreeMap<>();
        Optional<SwitchAt> go = switches.assignments().stream()
                .filter(a -> a.isFor(Duty.GO))
                .map(a -> a.at())
                .findFirst();
        for (int i = 0; i < parts.size(); i++) {
            Entry entry = parts.get(i).entry();
            boolean waited = i > 0 && parts.get(i - 1).entry().transition().way() == Transition.Way.ON_DEMAND;
            Calls calls = entry.calls();
            calls.presses().forEach(at -> presses.merge(at, 1, Integer::sum));
            go.filter(at -> waited && calls.go().isEmpty()).ifPresent(at -> presses.merge(at, 1, Integer::sum));
            entry.song()
                    .flatMap(book::find)
                    .ifPresent(song ->
                            song.cues().forEach(cue -> cue.foot().ifPresent(at -> presses.merge(at, 1, Integer::sum))));
        }
        return presses;
    }
}
