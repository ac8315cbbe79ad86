package embrack.core.offer;

import embrack.core.music.Key;
import embrack.core.show.Book;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.Song;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * Keys for the songs of an evening: as few unrelated neighbours as the limit allows, and of these choices the one that
 * shifts least in all, rather down than up, for the voices. Keys are related when they are at most one fifth apart,
 * relatives included (common practice, no source).
 */
public final class EveningKeys {

    /** The farthest that anybody shifts: half an octave. */
    public static final int MOST = 6;

    /** What is usual: two semitones either way. Common practice, no source. */
    public static final int USUAL = 2;

    private EveningKeys() {}

    /**
     * What is proposed for one song of the order.
     *
     * @param prepared the key that it is prepared in
     * @param now the key that it has tonight so far
     * @param proposed the key that goes best
     * @param semitones from the prepared key to the proposed one
     * @param isRelated whether it is then related to the song before; true for the first
     */
    public record Proposal(Entry entry, Key prepared, Key now, Key proposed, int semitones, boolean isRelated) {

        /** Whether the proposal is another key than tonight's so far. */
        public boolean isChange() {
            return proposed.pitchClass() != now.pitchClass();
        }
    }

    /** A way to come to a song in one key, and what it cost so far. */
    private record Course(int unrelated, int shifted, int raised, List<Integer> shifts) {

        boolean isBetterThan(Course other) {
            return unrelated != other.unrelated
                    ? unrelated < other.unrelated
                    : shifted != other.shifted ? shifted < other.shifted : raised < other.raised;
        }
    }

    /**
     * Proposals for the songs of a show whose key is known, in their order.
     *
     * @param limit the most semitones that a song may be shifted, 0 to 6
     */
    public static List<Proposal> of(Book book, Show show, int limit) {
        if (limit < 0 || limit > MOST) {
            throw new IllegalArgumentException(
                    "A song is shifted by 0 to %d semitones; %d is not among them.".formatted(MOST, limit));
        }
        List<Entry> songs = show.order().stream()
                .filter(entry -> prepared(book, entry).isPresent())
                .toList();
        List<Key> keys =
                songs.stream().map(entry -> prepared(book, entry).orElseThrow()).toList();
        List<Integer> shifts = best(keys, limit);
        List<Proposal> proposals = new ArrayList<>();
        for (int i = 0; i < songs.size(); i++) {
            Key proposed = keys.get(i).transposed(shifts.get(i));
            proposals.add(new Proposal(
                    songs.get(i),
                    keys.get(i),
                    songs.get(i).key().orElse(keys.get(i)),
                    proposed,
                    shifts.get(i),
                    i == 0 || isRelated(proposals.get(i - 1).proposed(), proposed)));
        }
        return proposals;
    }

    private static Optional<Key> prepared(Book book, Entry entry) {
        return entry.song().flatMap(book::find).flatMap(Song::played);
    }

    private static boolean isRelated(Key one, Key next) {
        return one.fifthsTo(next) <= 1;
    }

    /** The cheapest way through all songs: the best to each key of one song is made of the best to those before. */
    private static List<Integer> best(List<Key> keys, int limit) {
        List<Integer> allowed = new ArrayList<>(List.of(0));
        for (int shift = 1; shift <= limit; shift++) {
            Collections.addAll(allowed, -shift, shift);
        }
        List<Course> courses = List.of(new Course(0, 0, 0, List.of()));
        for (int i = 0; i < keys.size(); i++) {
            List<Course> next = new ArrayList<>();
            for (int shift : allowed) {
                Course cheapest = null;
                for (Course course : courses) {
                    boolean isApart = i > 0
                            && !isRelated(
                                    keys.get(i - 1).transposed(course.shifts.getLast()),
                                    keys.get(i).transposed(shift));
                    List<Integer> shifts = new ArrayList<>(course.shifts);
                    shifts.add(shift);
                    Course further = new Course(
                            course.unrelated + (isApart ? 1 : 0),
                            course.shifted + Math.abs(shift),
                            course.raised + Math.max(0, shift),
                            shifts);
                    cheapest = cheapest == null || further.isBetterThan(cheapest) ? further : cheapest;
                }
                if (cheapest != null) {
                    next.add(cheapest);
                }
            }
            courses = next;
        }
        Course best = courses.getFirst();
        for (Course course : courses) {
            best = course.isBetterThan(best) ? course : best;
        }
        return best.shifts;
    }
}
