package embrack.core.sound;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.function.ToIntFunction;

/**
 * Strands in an order in which sound comes to the beginning of each before it leaves: one search in depth. Strands that
 * lead back to where they come from are no part of it; they close a ring.
 *
 * @param strands by their numbers
 * @param rings the strands of each ring, by their numbers
 */
record Order(List<Integer> strands, List<List<Integer>> rings) {

    private static final int UNSEEN = 0;
    private static final int OPEN = 1;
    private static final int DONE = 2;

    static Order of(int points, List<Strand> strands, ToIntFunction<SoundPoint> number) {
        return new Search(points, strands, number).order();
    }

    private static final class Search {
        private final List<Strand> strands;
        private final ToIntFunction<SoundPoint> number;
        private final List<List<Integer>> leaving = new ArrayList<>();
        private final int[] seen;
        private final List<Integer> last = new ArrayList<>();
        private final Deque<Integer> under = new ArrayDeque<>();
        private final List<List<Integer>> rings = new ArrayList<>();
        private final boolean[] back;
        private final int[] next;

        private Search(int points, List<Strand> strands, ToIntFunction<SoundPoint> number) {
            this.strands = strands;
            this.number = number;
            this.seen = new int[points];
            this.next = new int[points];
            this.back = new boolean[strands.size()];
            for (int point = 0; point < points; point++) {
                leaving.add(new ArrayList<>());
            }
            for (int i = 0; i < strands.size(); i++) {
                if (strands.get(i).decibels() != Double.NEGATIVE_INFINITY) {
                    leaving.get(number.applyAsInt(strands.get(i).from())).add(i);
                }
            }
        }

        private Order order() {
            for (int point = 0; point < seen.length; point++) {
                if (seen[point] == UNSEEN) {
                    visit(point);
                }
            }
            List<Integer> ordered = new ArrayList<>();
            for (int point : last.reversed()) {
                leaving.get(point).stream().filter(strand -> !back[strand]).forEach(ordered::add);
            }
            return new Order(List.copyOf(ordered), List.copyOf(rings));
        }

        /** In depth, without calling itself: a chain of boxes may be longer than a stack. */
        private void visit(int begin) {
            Deque<Integer> way = new ArrayDeque<>();
            way.push(begin);
            seen[begin] = OPEN;
            while (!way.isEmpty()) {
                int point = way.peek();
                List<Integer> out = leaving.get(point);
                if (next[point] == out.size()) {
                    seen[point] = DONE;
                    last.add(point);
                    way.pop();
                    if (!under.isEmpty()) {
                        under.pop();
                    }
                    continue;
                }
                int strand = out.get(next[point]++);
                int to = number.applyAsInt(strands.get(strand).to());
                if (seen[to] == OPEN) {
                    close(strand, to);
                } else if (seen[to] == UNSEEN) {
                    seen[to] = OPEN;
                    under.push(strand);
                    way.push(to);
                }
            }
        }

        /** The strands from where a ring begins to the one that closes it. */
        private void close(int strand, int begin) {
            back[strand] = true;
            List<Integer> ring = new ArrayList<>(List.of(strand));
            for (int each : under) {
                if (number.applyAsInt(strands.get(strand).from()) == begin) {
                    break;
                }
                ring.add(each);
                if (number.applyAsInt(strands.get(each).from()) == begin) {
                    break;
                }
            }
            rings.add(List.copyOf(ring.reversed()));
        }
    }
}
