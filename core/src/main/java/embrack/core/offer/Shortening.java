package embrack.core.offer;

import embrack.core.show.Book;
import embrack.core.show.Entry;
import embrack.core.show.Form;
import embrack.core.show.Item;
import embrack.core.show.Running;
import embrack.core.show.Running.Part;
import embrack.core.show.Section;
import embrack.core.show.Song;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * One way to make a show shorter.
 *
 * @param entry the part that gives the time
 * @param section the section of its song that does, counted from 0; 0 where none does
 * @param value what it is then: microseconds that it or what comes behind it takes, passes of a vamp, or microseconds
 *     that the song is trimmed at its end
 * @param gained how much shorter the show is by it, microseconds
 */
public record Shortening(Way way, Entry entry, int section, long value, long gained) {

    /** What gives the time, from what disturbs least. */
    public enum Way {
        /** The wait or tail behind a part becomes shorter. */
        GO_ON,
        /** A vamp goes round less often. */
        FEWER_PASSES,
        /** A talk or a break takes less. */
        SAY_LESS,
        /** A song ends a section sooner. */
        TRIM,
        /** A song is left out. */
        LEAVE_OUT
    }

    /** What a talk or break is never made shorter than, 1 min. Common practice, no source. */
    private static final long SHORTEST = 60_000_000L;

    /** Times that people take are planned to so much, 15 s. Common practice, no source. */
    private static final long GRAIN = 15_000_000L;

    /** More ways do not help to choose. */
    private static final int MOST = 6;

    /**
     * The ways that make a show fit, those first that disturb least, of each the one that changes least. Where no
     * single one is enough, the fewest together that are, in that order. Empty for a show that fits, whose slot is not
     * known, or that nothing makes fit.
     */
    public static List<List<Shortening>> of(Book book, Running running) {
        long over = -running.roomMicros().orElse(0L);
        if (over <= 0) {
            return List.of();
        }
        List<List<Shortening>> single = all(book, running, over).stream()
                .filter(way -> way.gained >= over)
                .limit(MOST)
                .map(List::of)
                .toList();
        return single.isEmpty() ? together(all(book, running, over), over) : single;
    }

    /** Each way that gives something, none more than it has to. */
    private static List<Shortening> all(Book book, Running running, long over) {
        List<Part> parts = running.parts().stream()
                .filter(part -> !part.entry().item().isBeforeStart())
                .toList();
        List<Part> songs =
                parts.stream().filter(part -> part.entry().song().isPresent()).toList();
        List<Part> inTheMiddle = songs.size() < 3 ? List.of() : songs.subList(1, songs.size() - 1);
        return Stream.of(
                        each(parts.subList(0, Math.max(0, parts.size() - 1)), part -> waits(part, over)),
                        each(songs, part -> passes(book, part, over)),
                        each(parts, part -> talk(part, over)),
                        each(songs, part -> trimmed(book, part)),
                        each(inTheMiddle, Shortening::leftOut))
                .flatMap(List::stream)
                .toList();
    }

    private static List<Shortening> each(List<Part> parts, Function<Part, Stream<Shortening>> ways) {
        return parts.stream()
                .flatMap(ways)
                .filter(way -> way.gained > 0)
                .sorted(Comparator.comparingLong(Shortening::gained).thenComparing(way -> -way.value))
                .toList();
    }

    /** The first together that are enough, without those that turn out not to be needed. */
    private static List<List<Shortening>> together(List<Shortening> all, long over) {
        List<Shortening> taken = new ArrayList<>();
        for (Shortening way : all) {
            boolean isFree = taken.stream().noneMatch(other -> other.isAgainst(way));
            if (sum(taken) < over && isFree) {
                taken.add(way);
            }
        }
        if (sum(taken) < over) {
            return List.of();
        }
        for (Shortening way : List.copyOf(taken)) {
            if (sum(taken) - way.gained >= over) {
                taken.remove(way);
            }
        }
        return List.of(List.copyOf(taken));
    }

    private static long sum(List<Shortening> ways) {
        return ways.stream().mapToLong(Shortening::gained).sum();
    }

    /** Whether both cannot be had: a song is not trimmed and left out. */
    private boolean isAgainst(Shortening other) {
        boolean isLeftOut = way == Way.LEAVE_OUT || other.way == Way.LEAVE_OUT;
        return entry.number() == other.entry.number()
                && (isLeftOut || way == other.way || way == Way.TRIM || other.way == Way.TRIM);
    }

    private static Stream<Shortening> waits(Part part, long over) {
        long gap = part.entry().transition().gapMicros();
        long kept = Math.max(0, Math.floorDiv(gap - over, 1_000_000L) * 1_000_000L);
        return gap <= 0 ? Stream.empty() : Stream.of(new Shortening(Way.GO_ON, part.entry(), 0, kept, gap - kept));
    }

    private static Stream<Shortening> passes(Book book, Part part, long over) {
        Optional<Song> song = part.entry().song().flatMap(book::find);
        Form form = song.map(Song::form).orElse(Form.UNKNOWN);
        return IntStream.range(0, form.sections().size()).boxed().flatMap(index -> {
            Section section = form.sections().get(index);
            long pass = form.endMicros(index) - form.startMicros(index);
            long fewer = pass == 0 ? 0 : Math.min(section.passes() - 1L, Math.ceilDiv(over, pass));
            return fewer == 0
                    ? Stream.empty()
                    : Stream.of(new Shortening(
                            Way.FEWER_PASSES, part.entry(), index, section.passes() - fewer, fewer * pass));
        });
    }

    private static Stream<Shortening> talk(Part part, long over) {
        Entry entry = part.entry();
        if (!entry.item().isSpoken() && entry.item() != Item.BREAK) {
            return Stream.empty();
        }
        long less = Math.max(SHORTEST, Math.floorDiv(entry.micros() - over, GRAIN) * GRAIN);
        return Stream.of(new Shortening(Way.SAY_LESS, entry, 0, less, entry.micros() - less));
    }

    private static Stream<Shortening> leftOut(Part part) {
        return Stream.of(new Shortening(Way.LEAVE_OUT, part.entry(), 0, 0, part.lengthMicros()));
    }

    /** The song without its last section, where it has three or more and the last is no vamp. */
    private static Stream<Shortening> trimmed(Book book, Part part) {
        return part.entry().song().flatMap(book::find).stream()
                .filter(song -> song.form().sections().size() >= 3)
                .filter(song -> !song.form().sections().getLast().vamp())
                .map(song -> {
                    int last = song.form().sections().size() - 1;
                    long trim = song.form().lengthMicros() - song.form().startMicros(last);
                    long gained = trim - song.trims().endMicros();
                    return new Shortening(Way.TRIM, part.entry(), last, trim, gained);
                });
    }
}
