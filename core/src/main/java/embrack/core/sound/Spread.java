package embrack.core.sound;

import java.util.Arrays;
import java.util.List;

/**
 * Where sound that begins at one point can come at all, however everything stands. Most of a rig is out of reach of
 * most of its sources, so what is heard is worked out on that part alone.
 */
final class Spread {

    private static final int OUT_OF_REACH = -1;

    /** The strands within reach, in the order of the sound, by their numbers in the rig. */
    private final int[] strands;

    /** Of each of them, where it begins and ends, by the places of the points within reach. */
    private final int[] begins;

    private final int[] ends;

    /** Of each point of the rig, its place among those within reach. */
    private final int[] places;

    private final int reached;

    /** What of a sound is where. */
    @FunctionalInterface
    interface Carried {

        /** What arrives at a point, by its number in the rig. */
        Response at(int point);
    }

    /**
     * @param point where the sound begins
     * @param order the strands of the rig in the order of the sound
     * @param from of each strand of the rig the point where it begins
     * @param to of each the point where it ends
     */
    Spread(int point, int points, List<Integer> order, int[] from, int[] to) {
        places = new int[points];
        Arrays.fill(places, OUT_OF_REACH);
        int count = 0;
        places[point] = count++;
        int[] within = new int[order.size()];
        int length = 0;
        for (int strand : order) {
            if (places[from[strand]] != OUT_OF_REACH) {
                within[length++] = strand;
                if (places[to[strand]] == OUT_OF_REACH) {
                    places[to[strand]] = count++;
                }
            }
        }
        strands = Arrays.copyOf(within, length);
        begins = Arrays.stream(strands).map(strand -> places[from[strand]]).toArray();
        ends = Arrays.stream(strands).map(strand -> places[to[strand]]).toArray();
        reached = count;
    }

    /**
     * What of the sound is where.
     *
     * @param factors the gain of each strand of the rig
     * @param micros how late each of them is, microseconds
     */
    Carried carried(double[] factors, long[] micros) {
        Response[] there = new Response[reached];
        Arrays.fill(there, Response.NONE);
        there[0] = Response.at(0, 1);
        for (int i = 0; i < strands.length; i++) {
            Response before = there[begins[i]];
            if (!before.isNone() && factors[strands[i]] != 0) {
                there[ends[i]] = there[ends[i]].and(before.through(factors[strands[i]], micros[strands[i]]));
            }
        }
        return point -> places[point] == OUT_OF_REACH ? Response.NONE : there[places[point]];
    }
}
