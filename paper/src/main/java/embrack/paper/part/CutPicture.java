package embrack.paper.part;

import embrack.core.rig.Device;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.paper.drawing.Layer;
import embrack.paper.drawing.Layout;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Part;
import embrack.paper.page.Shape;
import embrack.paper.type.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A drawing of the wiring cut into pieces that fit on pages, several on one where they do. */
final class CutPicture {

    /** A cut keeps so far from boxes, and from lines along it, mm. */
    private static final double CLEAR = 1;

    /** Between two pieces of a drawing on one page, mm. */
    private static final double BETWEEN = 3;

    /** A piece takes so much of the width of a page at least, where boxes allow it. */
    private static final double LEAST = 0.4;

    /** What lines that go on above or below take, which are said in words, mm. */
    private static final double SAID = 14;

    private static final int MORE_THAN_SHAPES = 100_000;

    private final Contents contents;
    private final Rig rig;
    private final Layer layer;
    private final Layout layout;
    private final Part.Form form;
    private final Marks marks;
    private final double pageWidth;
    private final double pageHeight;
    private final List<Layout.Place> boxes;
    private final List<Stretch> stretches;
    private final List<Block> pages;

    CutPicture(Contents contents, Layer layer, Layout layout, Part.Form form, Marks marks) {
        this.contents = contents;
        this.rig = contents.rig();
        this.layer = layer;
        this.layout = layout;
        this.form = form;
        this.marks = marks;
        Setting setting = Setting.of(form, contents.paper());
        this.pageWidth = setting.room() / Setting.MM - 1;
        this.pageHeight = setting.depth() / Setting.MM - 1;
        this.boxes =
                layer.devices(rig).stream().map(Device::id).map(layout::place).toList();
        this.stretches = stretches();
        this.pages = cut();
    }

    Part.Form form() {
        return form;
    }

    /** What it costs to read: pages most of all, then what is cut. */
    int cost() {
        int cut = pages.stream()
                .mapToInt(page -> ((Body.Drawing) page.body()).shapes().size())
                .sum();
        return pages.size() * MORE_THAN_SHAPES + cut;
    }

    List<Block> pages() {
        return pages;
    }

    /** A stretch of a line, mm. */
    private record Stretch(Link link, double x0, double y0, double x1, double y1) {

        boolean isLevel() {
            return y0 == y1;
        }

        /** Whether a cut goes through it, and not along it. */
        boolean isCutAcross(double x) {
            return isLevel() && Math.min(x0, x1) < x && Math.max(x0, x1) > x;
        }

        boolean isCutDown(double y) {
            return !isLevel() && Math.min(y0, y1) < y && Math.max(y0, y1) > y;
        }
    }

    private List<Stretch> stretches() {
        return layer.links(rig).stream()
                .flatMap(link -> {
                    List<Layout.Point> points = layout.line(link);
                    return IntStream.range(0, Math.max(0, points.size() - 1))
                            .mapToObj(i -> new Stretch(
                                    link,
                                    points.get(i).x() / OnPaper.TENTHS,
                                    points.get(i).y() / OnPaper.TENTHS,
                                    points.get(i + 1).x() / OnPaper.TENTHS,
                                    points.get(i + 1).y() / OnPaper.TENTHS));
                })
                .toList();
    }

    /** What goes on beyond a cut from the top to the bottom of a row of pieces, seen from its left or right. */
    private List<Marks.Leaving> across(double x, double top, double bottom, boolean fromLeft) {
        return stretches.stream()
                .filter(stretch -> stretch.isCutAcross(x) && stretch.y0 >= top && stretch.y0 <= bottom)
                .map(stretch -> marks.leaving(stretch.link, stretch.y0, stretch.x0 < stretch.x1 == fromLeft))
                .toList();
    }

    private List<Marks.Leaving> down(double y, double left, double right, boolean fromAbove) {
        return stretches.stream()
                .filter(stretch -> stretch.isCutDown(y) && stretch.x0 >= left && stretch.x0 <= right)
                .map(stretch -> marks.leaving(stretch.link, stretch.x0, stretch.y0 < stretch.y1 == fromAbove))
                .toList();
    }

    /** Where rows of pieces end, the last at the end of all. */
    private List<Double> rows() {
        double all = layout.height() / OnPaper.TENTHS;
        List<Double> cuts = new ArrayList<>();
        double from = 0;
        while (all - from > (cuts.isEmpty() ? pageHeight : pageHeight - SAID)) {
            double room = pageHeight - (cuts.isEmpty() ? SAID : 2 * SAID);
            double best = from + room;
            double fewest = Double.MAX_VALUE;
            for (double at = from + room; at > from + room * LEAST; at -= 1) {
                double cost = hit(at, false) * 100 + (from + room - at) / room;
                if (cost < fewest) {
                    fewest = cost;
                    best = at;
                }
            }
            cuts.add(best);
            from = best;
        }
        cuts.add(all);
        return cuts;
    }

    /** Where the pieces of a row end: between boxes, with room for the marks at both sides. */
    private List<Double> columns(double top, double bottom) {
        double all = layout.width() / OnPaper.TENTHS;
        List<Double> cuts = new ArrayList<>();
        double from = 0;
        double marked = 0;
        while (all - from + marked > pageWidth) {
            double to = from + pageWidth - marked;
            double best = from + pageWidth * LEAST;
            double fewest = Double.MAX_VALUE;
            for (double at = to; at > from + pageWidth * LEAST; at -= 0.5) {
                List<Marks.Leaving> leaving = across(at, top, bottom, true);
                double cost = hit(at, true) * 100 + leaving.size() * 0.05 + (to - at) / pageWidth;
                if (at - from + marked + Marks.room(leaving) <= pageWidth && cost < fewest) {
                    fewest = cost;
                    best = at;
                }
            }
            cuts.add(best);
            from = best;
            marked = Marks.room(across(best, top, bottom, false));
        }
        cuts.add(all);
        return cuts;
    }

    /** How many boxes a cut goes through, and along how many lines. */
    private double hit(double at, boolean isAcross) {
        double hit = boxes.stream()
                .filter(place -> {
                    double from = (isAcross ? place.x() : place.y()) / OnPaper.TENTHS;
                    double to = from + (isAcross ? place.width() : place.height()) / OnPaper.TENTHS;
                    return from - CLEAR < at && at < to + CLEAR;
                })
                .count();
        double along = stretches.stream()
                .filter(stretch -> stretch.isLevel() != isAcross
                        && Math.abs((isAcross ? stretch.x0 : stretch.y0) - at) < CLEAR / 2)
                .count();
        return hit + along / 100;
    }

    /** Its boxes and links. */
    private String says() {
        return Stream.concat(
                        layer.devices(rig).stream().map(device -> device.name().text()),
                        layer.links(rig).stream().map(rig::words))
                .collect(Collectors.joining("\n"));
    }

    /** The pieces of the drawing, several below each other on a page where they fit. */
    private List<Block> cut() {
        List<Block> pages = new ArrayList<>();
        List<Shape> shapes = new ArrayList<>();
        double used = 0;
        double top = 0;
        for (double bottom : rows()) {
            double left = 0;
            for (double right : columns(top, bottom)) {
                PicturePiece piece = new PicturePiece(rig, layer, layout, left, top, right, bottom, pageWidth);
                if (piece.hasBoxes()) {
                    double high = piece.draw(
                            marks,
                            across(left, top, bottom, false),
                            across(right, top, bottom, true),
                            down(top, left, right, false),
                            down(bottom, left, right, true));
                    if (used > 0 && used + BETWEEN + high > pageHeight) {
                        pages.add(new Block("", "", new Body.Drawing(pageWidth, used, shapes, says())));
                        shapes = new ArrayList<>();
                        used = 0;
                    }
                    double y = used == 0 ? 0 : used + BETWEEN;
                    piece.shapes().stream().map(shape -> shape.down(y)).forEach(shapes::add);
                    used = y + high;
                }
                left = right;
            }
            top = bottom;
        }
        if (!shapes.isEmpty()) {
            pages.add(new Block("", "", new Body.Drawing(pageWidth, used, shapes, says())));
        }
        return pages;
    }
}
