package embrack.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** What happened in a run while it goes on; the last of it is kept. */
final class Tape {

    private final List<Line> kept;
    private long lines;

    Tape(List<Line> kept, long lines) {
        this.kept = new ArrayList<>(kept);
        this.lines = lines;
    }

    void tell(long now, Line.What what) {
        kept.add(new Line(++lines, now, what));
        if (kept.size() > 4 * Run.TAPE) {
            kept.subList(0, kept.size() - Run.TAPE).clear();
        }
    }

    /** How many lines there were in all. */
    long lines() {
        return lines;
    }

    /** The last of it, the oldest first. */
    List<Line> last() {
        return kept.size() <= Run.TAPE ? kept : kept.subList(kept.size() - Run.TAPE, kept.size());
    }

    /** What happened from a moment on, microseconds of the run, since it last went back. */
    Stream<Line> since(long micros) {
        int from = kept.size();
        while (from > 0 && !(kept.get(from - 1).what() instanceof Line.WentBack)) {
            from--;
        }
        return kept.subList(from, kept.size()).stream().filter(line -> line.at() >= micros);
    }

    /** Goes on as the tape of another run, from which somebody came here. */
    void follow(List<Line> other, long told) {
        kept.clear();
        kept.addAll(other);
        lines = Math.max(lines, told);
    }
}
