package embrack.core.light;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * How data goes from one fixture of a universe to the next: row by row from the front, to and fro.
 *
 * @param fixtures in that order; the last one has the terminator
 * @param cables metres of the cable into each but the first, as they are made
 */
public record DataLine(int universe, List<Fixture> fixtures, List<Integer> cables) {

    /** Receivers that one line drives at most: 32 unit loads (EIA-485, taken over by ANSI E1.11). */
    public static final int MOST = 32;

    /** Lengths of cables, metres; common practice, no source. */
    private static final List<Integer> MADE = List.of(1, 2, 3, 5, 10, 15, 20, 30, 50);

    /** What is needed beyond the straight way, to tie it up and to reach the sockets, centimetres. No source. */
    private static final int SLACK = 100;

    private static final int METRE = 100;

    public DataLine {
        fixtures = List.copyOf(fixtures);
        cables = List.copyOf(cables);
    }

    /** One for each universe in which something hangs on a cable. */
    public static List<DataLine> of(Lights lights) {
        SortedMap<Integer, List<Fixture>> universes = new TreeMap<>();
        lights.fixtures().stream()
                .filter(fixture -> !fixture.isByAir())
                .forEach(fixture -> fixture.at()
                        .ifPresent(at -> universes
                                .computeIfAbsent(at.universe(), n -> new ArrayList<>())
                                .add(fixture)));
        List<DataLine> lines = new ArrayList<>();
        universes.forEach((universe, fixtures) -> lines.add(line(universe, fixtures)));
        return lines;
    }

    private static DataLine line(int universe, List<Fixture> fixtures) {
        List<Integer> rows =
                fixtures.stream().map(f -> f.hang().deep()).distinct().sorted().toList();
        List<Fixture> order = new ArrayList<>();
        for (int row = 0; row < rows.size(); row++) {
            int deep = rows.get(row);
            Comparator<Fixture> across = Comparator.comparingInt(f -> f.hang().across());
            fixtures.stream()
                    .filter(f -> f.hang().deep() == deep)
                    .sorted(row % 2 == 0 ? across : across.reversed())
                    .forEach(order::add);
        }
        List<Integer> cables = new ArrayList<>();
        for (int i = 1; i < order.size(); i++) {
            cables.add(made(order.get(i - 1).hang().apart(order.get(i).hang()) + SLACK));
        }
        return new DataLine(universe, order, cables);
    }

    private static int made(double centimetres) {
        return MADE.stream()
                .filter(metres -> metres * METRE >= centimetres)
                .findFirst()
                .orElse((int) Math.ceil(centimetres / METRE));
    }

    /** All of its cables, metres; the one from the desk comes on top. */
    public int metres() {
        return cables.stream().mapToInt(Integer::intValue).sum();
    }

    /** Whether one line cannot drive them all. */
    public boolean isTooLong() {
        return fixtures.size() > MOST;
    }
}
