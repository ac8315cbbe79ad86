package embrack.core.offer;

import embrack.core.show.Entry;
import embrack.core.show.Running;
import embrack.core.show.Running.Part;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * One way to make a show fit into its slot.
 *
 * @param entry the part that gives the time
 * @param micros how long it then takes; 0 for a part that is left out
 * @param gained how much shorter the show is by it
 */
public record Shortening(Entry entry, long micros, long gained) {

    /** What a talk is never made shorter than, 1 min. Common practice, no source. */
    private static final long SHORTEST_TALK = 60_000_000L;

    /** Talks are timed to so much, 15 s. Common practice, no source. */
    private static final long GRAIN = 15_000_000L;

    /** More ways do not help to choose. */
    private static final int MOST = 4;

    /**
     * The ways for a show that is too long, those first that disturb least: a talk that says less, then a song left out
     * in the middle, the shortest that is long enough first. Empty for a show that fits, or whose slot is not known.
     */
    public static List<Shortening> of(Running running) {
        long over = -running.roomMicros().orElse(0L);
        if (over <= 0) {
            return List.of();
        }
        List<Part> songs = running.parts().stream()
                .filter(part -> part.entry().song().isPresent())
                .toList();
        Stream<Shortening> talks = running.parts().stream()
                .filter(part -> part.entry().item().isSpoken())
                .map(part ->
                        new Shortening(part.entry(), Math.floorDiv(part.entry().micros() - over, GRAIN) * GRAIN, 0))
                .filter(way -> way.micros >= SHORTEST_TALK)
                .map(way -> new Shortening(way.entry, way.micros, way.entry.micros() - way.micros))
                .sorted(Comparator.comparingLong(way -> -way.micros));
        Stream<Shortening> left = songs.stream()
                .filter(part -> !part.equals(songs.getFirst()) && !part.equals(songs.getLast()))
                .filter(part -> part.lengthMicros() >= over)
                .sorted(Comparator.comparingLong(Part::lengthMicros))
                .map(part -> new Shortening(part.entry(), 0, part.lengthMicros()));
        return Stream.concat(talks, left).limit(MOST).toList();
    }

    /** Whether the part is left out. */
    public boolean isLeftOut() {
        return micros == 0;
    }
}
