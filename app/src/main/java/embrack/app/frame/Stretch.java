package embrack.app.frame;

import java.util.List;
import java.util.stream.IntStream;

/**
 * As much of a long list as a page shows at once, and the ways to the rest.
 *
 * @param others the first stretch, those near this one and the last, in order; none when the whole list is shown
 */
public record Stretch<T>(List<T> rows, List<Other> others) {

    private static final int NEAR = 2;

    /** A stretch of the list: "61 to 120". */
    public record Other(String words, String href, boolean isHere) {}

    /**
     * The stretch that holds one row.
     *
     * @param at the number of the row, from 1; outside of the list the nearest
     * @param most how many rows a stretch has, 1 or more
     * @param href what the address of a stretch begins with, its first row comes behind it
     */
    public static <T> Stretch<T> of(List<T> all, int at, int most, String href) {
        if (most < 1) {
            throw new IllegalArgumentException("A stretch has 1 row or more, not " + most);
        }
        int here = Math.clamp(at - 1L, 0, Math.max(0, all.size() - 1)) / most;
        int stretches = Math.ceilDiv(all.size(), most);
        List<Other> others = IntStream.range(0, stretches)
                .filter(i -> i == 0 || i == stretches - 1 || Math.abs(i - here) <= NEAR)
                .mapToObj(i -> new Other(
                        "%d to %d".formatted(i * most + 1, Math.min(all.size(), (i + 1) * most)),
                        href + (i * most + 1),
                        i == here))
                .toList();
        return new Stretch<>(
                all.subList(here * most, Math.min(all.size(), (here + 1) * most)),
                others.size() > 1 ? others : List.of());
    }
}
