package embrack.paper.part;

import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.sheet.CableList;
import embrack.paper.page.Shape;
import embrack.paper.type.Ruler;
import embrack.paper.type.Setting;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What stands where lines of the wiring go on elsewhere: the number of the cable, and to or from which box. */
final class Marks {

    /** How high a line of letters is, mm. */
    static final double LETTERS = 2.9;

    /** From one bend to the next, where lines bend to reach their marks, mm. */
    private static final double BEND = 0.8;

    private static final double CLEAR = 1;

    private final Rig rig;
    private final Map<Link, Integer> cables = new HashMap<>();

    Marks(Rig rig) {
        this.rig = rig;
        CableList.of(rig)
                .rows()
                .forEach(row -> rig.links().stream()
                        .filter(link -> rig.words(link.from()).equals(row.from())
                                && rig.words(link.to()).equals(row.to()))
                        .forEach(link -> cables.put(link, row.number())));
    }

    /**
     * A line that leaves a piece of the drawing.
     *
     * @param at where along the edge, mm
     */
    record Leaving(Link link, double at, String words) {

        double width() {
            return Ruler.PLAIN.width(words, OnPaper.POINTS) / Setting.MM + CLEAR;
        }
    }

    /** A link that leaves; whether what lies beyond is where it goes, else where it comes from. */
    Leaving leaving(Link link, double at, boolean isOnward) {
        String cable = cables.containsKey(link) ? cables.get(link) + " " : "";
        return new Leaving(
                link,
                at,
                cable
                        + (isOnward
                                ? "to " + rig.name(link.to().device())
                                : "from " + rig.name(link.from().device())));
    }

    /** How much room marks take beside an edge, mm. */
    static double room(List<Leaving> leaving) {
        return leaving.isEmpty()
                ? 0
                : CLEAR
                        + BEND * leaving.size()
                        + leaving.stream().mapToDouble(Leaving::width).max().orElse(0);
    }

    /**
     * Marks beside an edge, none on another: lines bend down to theirs where they lie close.
     *
     * @param edge where it is, mm
     * @param atRight whether the marks stand at its right
     */
    List<Shape> beside(List<Leaving> leaving, double edge, boolean atRight) {
        List<Leaving> sorted =
                leaving.stream().sorted(Comparator.comparingDouble(Leaving::at)).toList();
        List<Shape> shapes = new ArrayList<>();
        double free = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < sorted.size(); i++) {
            Leaving line = sorted.get(i);
            String kind = rig.kind(line.link()).key();
            double down = Math.max(line.at(), free);
            free = down + LETTERS;
            double bend = BEND * (sorted.size() - i);
            double all = BEND * sorted.size() + CLEAR / 2;
            if (down > line.at()) {
                shapes.add(level(edge, 0, bend, line.at(), kind, atRight));
                double x = atRight ? edge + bend : edge - bend;
                shapes.add(new Shape.Stroke(x, line.at(), 0.1, down - line.at(), kind));
                shapes.add(level(edge, bend, all, down, kind, atRight));
            } else {
                shapes.add(level(edge, 0, all, down, kind, atRight));
            }
            double width = line.width();
            shapes.add(new Shape.Words(
                    atRight ? edge + all + CLEAR / 2 : edge - all - CLEAR / 2 - width,
                    down - LETTERS / 2,
                    width,
                    OnPaper.POINTS,
                    atRight ? "left" : "right",
                    false,
                    line.words()));
        }
        return shapes;
    }

    private static Shape level(double edge, double from, double to, double y, String kind, boolean atRight) {
        return new Shape.Stroke(atRight ? edge + from : edge - to, y, to - from, 0.1, kind);
    }
}
