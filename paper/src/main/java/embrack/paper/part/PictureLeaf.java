package embrack.paper.part;

import embrack.core.gear.Port;
import embrack.core.name.Words;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.sheet.CableList;
import embrack.paper.drawing.Draft;
import embrack.paper.drawing.Layer;
import embrack.paper.drawing.Layout;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Part;
import embrack.paper.page.Shape;
import embrack.paper.type.Ruler;
import embrack.paper.type.Setting;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The wiring by place, over as many pages as it needs at a size that can be read: no letter is smaller than 7 pt. Where
 * a line goes on on another page stands the number of its cable and where it goes.
 */
final class PictureLeaf {

    private static final double NAME_POINTS = 8;
    private static final double POINTS = 7;
    private static final double TENTHS = 10;

    /** How high a line of letters of 7 pt is, mm. */
    private static final double LETTERS = 2.9;

    /** A cut keeps so far from boxes, mm: there stands where lines go on. */
    private static final double CLEAR = 2;

    /** Between two pieces of a drawing on one page, mm. */
    private static final double BETWEEN = 5;

    /** What is printed on a page overlaps the next by nothing; a cut goes between boxes where it can. */
    private static final double LEAST_OF_PAGE = 0.55;

    private final Contents contents;
    private final Rig rig;
    private final Map<Link, Integer> cables = new HashMap<>();

    PictureLeaf(Contents contents) {
        this.contents = contents;
        this.rig = contents.rig();
    }

    List<Part> parts() {
        return Stream.of(Layer.values())
                .filter(layer -> !layer.links(rig).isEmpty())
                .map(this::part)
                .toList();
    }

    private Part part(Layer layer) {
        boolean isSound = layer == Layer.SOUND;
        Layout layout = Layout.of(rig, layer, new OnPaper());
        Sheet fewest = Stream.of(Part.Form.TALL, Part.Form.WIDE)
                .map(form -> new Sheet(layer, layout, form))
                .min(Comparator.comparingInt(sheet -> sheet.pages().size()))
                .orElseThrow();
        return new Part(
                isSound ? "wiring-sound" : "wiring",
                isSound ? "Wiring of sound" : "Wiring of messages and power",
                "cables by the numbers of the cable list",
                fewest.form,
                fewest.pages());
    }

    /** Sizes for paper, in tenths of a millimetre: only ports that are joined, boxes as wide as their words. */
    private static final class OnPaper implements Draft {
        @Override
        public int width(Rig rig, Device device, List<Port> ports) {
            double name = Ruler.BOLD.width(device.name().text(), NAME_POINTS);
            double left = ports.stream()
                    .mapToDouble(port -> Ruler.PLAIN.width(port.name().text(), POINTS))
                    .max()
                    .orElse(0);
            boolean bothSides = ports.stream().map(Port::direction).distinct().count() > 1;
            double points = Math.max(name, bothSides ? 2 * left + 3 : left) + 6;
            return (int) Math.ceil(points / Setting.MM * TENTHS);
        }

        @Override
        public List<Port> ports(Rig rig, Layer layer, Device device) {
            return rig.model(device.id()).ports().stream()
                    .filter(port -> rig.linksIn(new Socket(device.id(), port.id())).stream()
                            .anyMatch(link -> layer.shows(rig.kind(link))))
                    .toList();
        }

        @Override
        public int head() {
            return 42;
        }

        @Override
        public int down() {
            return 12;
        }

        @Override
        public int step() {
            return 27;
        }

        @Override
        public int margin() {
            return 8;
        }

        @Override
        public int top() {
            return 55;
        }

        @Override
        public int under() {
            return 10;
        }

        @Override
        public int left() {
            return 100;
        }

        @Override
        public int right(Layer layer) {
            return 110;
        }

        @Override
        public double apart() {
            return 12;
        }

        @Override
        public double between() {
            return 15;
        }

        @Override
        public double lines() {
            return 8;
        }
    }

    /** The whole drawing, and its pages. */
    private final class Sheet {
        private final Layer layer;
        private final Layout layout;
        private final Part.Form form;
        private final double pageWidth;
        private final double pageHeight;
        private final List<Double> across;
        private final List<Double> down;

        Sheet(Layer layer, Layout layout, Part.Form form) {
            this.layer = layer;
            this.layout = layout;
            this.form = form;
            Setting setting = Setting.of(form, contents.paper());
            this.pageWidth = setting.room() / Setting.MM - 1;
            this.pageHeight = setting.depth() / Setting.MM - 4;
            this.across = cuts(layout.width() / TENTHS, pageWidth, true);
            this.down = cuts(layout.height() / TENTHS, pageHeight, false);
        }

        /** Where pages end, the last at the end of all; between boxes, where there is such a place late on a page. */
        private List<Double> cuts(double all, double page, boolean isAcross) {
            List<Double> cuts = new ArrayList<>();
            double from = 0;
            while (all - from > page) {
                double to = from + page;
                double least = Math.max(from + page * LEAST_OF_PAGE, all - page * (Math.ceil((all - from) / page) - 1));
                double best = to;
                double fewest = Double.MAX_VALUE;
                for (double at = to; at > least; at -= 1) {
                    double hit = hit(at, isAcross) * 100 + (to - at) / page;
                    if (hit < fewest) {
                        fewest = hit;
                        best = at;
                    }
                }
                cuts.add(best);
                from = best;
            }
            cuts.add(all);
            return cuts;
        }

        /** How many boxes a cut goes through; a computer counts less than what runs on it. */
        private double hit(double at, boolean isAcross) {
            return layer.devices(rig).stream()
                    .mapToDouble(device -> {
                        Layout.Place place = layout.place(device.id());
                        double from = (isAcross ? place.x() : place.y()) / TENTHS;
                        double to = from + (isAcross ? place.width() : place.height()) / TENTHS;
                        return from - CLEAR < at && at < to + CLEAR
                                ? rig.appsIn(device.id()).isEmpty() ? 1 : 0.1
                                : 0;
                    })
                    .sum();
        }

        /** Its boxes and links. */
        private String says() {
            return Stream.concat(
                            layer.devices(rig).stream()
                                    .map(device -> device.name().text()),
                            layer.links(rig).stream().map(rig::words))
                    .collect(Collectors.joining("\n"));
        }

        /** The pieces of the drawing, several below each other on a page where they fit. */
        List<Block> pages() {
            List<Block> pages = new ArrayList<>();
            List<Shape> shapes = new ArrayList<>();
            double used = 0;
            double top = 0;
            for (double bottom : down) {
                double left = 0;
                for (double right : across) {
                    Window window = new Window(this, left, top, right, bottom);
                    if (window.hasBoxes()) {
                        if (used > 0 && used + BETWEEN + bottom - top > pageHeight) {
                            pages.add(new Block("", "", new Body.Drawing(pageWidth, used, shapes, says())));
                            shapes = new ArrayList<>();
                            used = 0;
                        }
                        double y = used == 0 ? 0 : used + BETWEEN;
                        shapes.addAll(window.shapes(y));
                        used = y + bottom - top;
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

    /** A page of it: what of the drawing lies in a rectangle, in millimetres. */
    private final class Window {
        private final Sheet sheet;
        private final double left;
        private final double top;
        private final double right;
        private final double bottom;
        private final List<Shape> shapes = new ArrayList<>();
        private final List<Double> leftMarks = new ArrayList<>();
        private final List<Double> rightMarks = new ArrayList<>();

        Window(Sheet sheet, double left, double top, double right, double bottom) {
            this.sheet = sheet;
            this.left = left;
            this.top = top;
            this.right = right;
            this.bottom = bottom;
        }

        boolean hasBoxes() {
            return sheet.layer.devices(rig).stream().map(Device::id).anyMatch(id -> {
                Layout.Place place = sheet.layout.place(id);
                return place.x() / TENTHS < right
                        && (place.x() + place.width()) / TENTHS > left
                        && place.y() / TENTHS < bottom
                        && (place.y() + place.height()) / TENTHS > top;
            });
        }

        /** All of it, so far down on its page. */
        List<Shape> shapes(double y) {
            sheet.layer.links(rig).forEach(this::line);
            places();
            sheet.layer.devices(rig).forEach(this::box);
            return shapes.stream().map(shape -> shape.down(y)).toList();
        }

        private void places() {
            for (Area area : Area.values()) {
                double from = sheet.layout.left(area) / TENTHS;
                double to = sheet.layout.right(area) / TENTHS;
                if (to > from && from < right && to > left) {
                    double x = Math.max(from, left) - left;
                    shapes.add(new Shape.Words(
                            x,
                            0,
                            Math.max(20, Math.min(to, right) - left - x),
                            NAME_POINTS,
                            "left",
                            true,
                            Words.capital(area.words())));
                }
            }
        }

        private void box(Device device) {
            Layout.Place place = sheet.layout.place(device.id());
            double x = place.x() / TENTHS;
            double y = place.y() / TENTHS;
            double wide = place.width() / TENTHS;
            double high = place.height() / TENTHS;
            double x0 = Math.max(x, left);
            double y0 = Math.max(y, top);
            double x1 = Math.min(x + wide, right);
            double y1 = Math.min(y + high, bottom);
            boolean isHost = !rig.appsIn(device.id()).isEmpty();
            List<Port> ports = new OnPaper().ports(rig, sheet.layer, device);
            if (ports.isEmpty() && !isHost && sheet.layer == Layer.SOUND) {
                return;
            }
            if (x1 - x0 < 1 || y1 - y0 < 1) {
                return;
            }
            shapes.add(new Shape.Frame(x0 - left, y0 - top, x1 - x0, y1 - y0, isHost ? "host" : ""));
            if (y >= top) {
                shapes.add(new Shape.Words(
                        x0 - left + 1,
                        y - top + 0.4,
                        Math.max(x1 - x0 - 1.5, 12),
                        NAME_POINTS,
                        "left",
                        true,
                        device.name().text()));
            }
            ports.forEach(port -> port(device, port, x, wide));
        }

        private void port(Device device, Port port, double boxX, double boxWidth) {
            Layout.Point at = sheet.layout.port(new Socket(device.id(), port.id()));
            double x = at.x() / TENTHS;
            double y = at.y() / TENTHS;
            if (x < left - 0.01 || x > right + 0.01 || y < top || y > bottom) {
                return;
            }
            boolean isRight = x > boxX + boxWidth / 2;
            double room = Ruler.PLAIN.width(port.name().text(), POINTS) / Setting.MM + 1;
            shapes.add(new Shape.Frame(x - left - 0.6, y - top - 0.6, 1.2, 1.2, "plug"));
            shapes.add(new Shape.Words(
                    isRight ? x - left - 1 - room : x - left + 1,
                    y - top - 1.5,
                    room,
                    POINTS,
                    isRight ? "right" : "left",
                    false,
                    port.name().text()));
        }

        /** The pieces of a line that lie here, and what it is where it leaves. */
        private void line(Link link) {
            List<Layout.Point> points = sheet.layout.line(link);
            String kind = rig.kind(link).key();
            for (int i = 0; i + 1 < points.size(); i++) {
                double x0 = points.get(i).x() / TENTHS;
                double y0 = points.get(i).y() / TENTHS;
                double x1 = points.get(i + 1).x() / TENTHS;
                double y1 = points.get(i + 1).y() / TENTHS;
                double a = Math.max(Math.min(x0, x1), left);
                double b = Math.min(Math.max(x0, x1), right);
                double c = Math.max(Math.min(y0, y1), top);
                double d = Math.min(Math.max(y0, y1), bottom);
                if (a > b || c > d) {
                    continue;
                }
                shapes.add(new Shape.Stroke(a - left, c - top, Math.max(b - a, 0.1), Math.max(d - c, 0.1), kind));
                if (y0 == y1 && (b == right && Math.max(x0, x1) > right || a == left && Math.min(x0, x1) < left)) {
                    leaves(link, x0 < x1 == (b == right && Math.max(x0, x1) > right), b == right, c - top, b - a);
                }
            }
        }

        /** Where a line goes on on another page: the number of its cable, and to what. */
        private void leaves(Link link, boolean isOnward, boolean atRight, double y, double length) {
            Socket far = isOnward ? link.to() : link.from();
            String words = "%s %s".formatted(number(link), rig.name(far.device()));
            double room = Math.max(length, Ruler.PLAIN.width(words, POINTS) / Setting.MM + 1);
            shapes.add(new Shape.Words(
                    atRight ? right - left - room : 0,
                    y - 2.9,
                    room,
                    POINTS,
                    atRight ? "right" : "left",
                    false,
                    words));
        }
    }

    /** "12 >" of a cable of the list; ">" of what is no cable. */
    private String number(Link link) {
        if (cables.isEmpty()) {
            CableList.of(rig)
                    .rows()
                    .forEach(row -> rig.links().stream()
                            .filter(other -> rig.words(other.from()).equals(row.from())
                                    && rig.words(other.to()).equals(row.to()))
                            .forEach(other -> cables.put(other, row.number())));
        }
        return cables.containsKey(link) ? cables.get(link) + " >" : ">";
    }
}
