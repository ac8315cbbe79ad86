package embrack.paper.part;

import embrack.core.gear.Port;
import embrack.core.name.Words;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.paper.drawing.Layer;
import embrack.paper.drawing.Layout;
import embrack.paper.page.Shape;
import embrack.paper.type.Ruler;
import embrack.paper.type.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A piece of a drawing of the wiring: what lies in a rectangle, in millimetres, with marks around it. */
final class PicturePiece {

    /** Names of places, or what is said of lines from above, stand in so much at the upper edge, mm. */
    private static final double NAMES = 4.5;

    private final Rig rig;
    private final Layer layer;
    private final Layout layout;
    private final double left;
    private final double top;
    private final double right;
    private final double bottom;
    private final double width;
    private final List<Shape> shapes = new ArrayList<>();

    /** What of the drawing lies at the left edge of the page, and at the upper one. */
    private double origin;

    private double roof;

    PicturePiece(
            Rig rig, Layer layer, Layout layout, double left, double top, double right, double bottom, double width) {
        this.rig = rig;
        this.layer = layer;
        this.layout = layout;
        this.left = left;
        this.top = top;
        this.right = right;
        this.bottom = bottom;
        this.width = width;
    }

    boolean hasBoxes() {
        return layer.devices(rig).stream().map(Device::id).anyMatch(id -> {
            Layout.Place place = layout.place(id);
            return place.x() / OnPaper.TENTHS < right
                    && (place.x() + place.width()) / OnPaper.TENTHS > left
                    && place.y() / OnPaper.TENTHS < bottom
                    && (place.y() + place.height()) / OnPaper.TENTHS > top;
        });
    }

    List<Shape> shapes() {
        return shapes;
    }

    /** Draws all of it; how high it is, mm. */
    double draw(
            Marks marks,
            List<Marks.Leaving> atLeft,
            List<Marks.Leaving> atRight,
            List<Marks.Leaving> above,
            List<Marks.Leaving> below) {
        origin = left - Marks.room(atLeft);
        double head = said("From above, from the left: ", above, 0);
        roof = top - head;
        layer.links(rig).forEach(this::line);
        if (top == 0) {
            places();
        }
        layer.devices(rig).forEach(this::box);
        double up = -roof;
        marks.beside(atLeft, left - origin, false).forEach(shape -> shapes.add(shape.down(up)));
        marks.beside(atRight, right - origin, true).forEach(shape -> shapes.add(shape.down(up)));
        double end = trimmed();
        return end + said("Goes on below, from the left: ", below, end);
    }

    /** Takes the blank under the names of the places away; how high what is left is, mm. */
    private double trimmed() {
        double names = shapes.stream().mapToDouble(Shape::y).min().orElse(0) + NAMES;
        double blank = shapes.stream()
                        .mapToDouble(Shape::y)
                        .filter(y -> y > names)
                        .min()
                        .orElse(names)
                - names;
        shapes.replaceAll(shape -> shape.y() > names ? shape.down(-blank) : shape);
        return shapes.stream().mapToDouble(Shape::bottom).max().orElse(0);
    }

    /** Says in words which lines go on above or below; how high that is, mm. */
    private double said(String where, List<Marks.Leaving> leaving, double y) {
        if (leaving.isEmpty()) {
            return 0;
        }
        String words = where
                + leaving.stream()
                        .sorted((one, other) -> Double.compare(one.at(), other.at()))
                        .map(Marks.Leaving::words)
                        .collect(Collectors.joining("; "));
        double room = width * Setting.MM;
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : words.split(" ")) {
            if (!line.isEmpty() && Ruler.PLAIN.width(line + " " + word, OnPaper.POINTS) > room - 4) {
                lines.add(line.toString());
                line.setLength(0);
            }
            line.append(line.isEmpty() ? "" : " ").append(word);
        }
        lines.add(line.toString());
        for (int i = 0; i < lines.size(); i++) {
            shapes.add(new Shape.Words(0, y + i * Marks.LETTERS, width, OnPaper.POINTS, "left", false, lines.get(i)));
        }
        return lines.size() * Marks.LETTERS + 1;
    }

    private void places() {
        for (Area area : Area.values()) {
            double from = layout.left(area) / OnPaper.TENTHS;
            double to = layout.right(area) / OnPaper.TENTHS;
            if (to > from && from < right && to > left) {
                double x = Math.max(from, left) - origin;
                shapes.add(new Shape.Words(
                        x,
                        0,
                        Math.max(20, Math.min(to, right) - origin - x),
                        OnPaper.NAME_POINTS,
                        "left",
                        true,
                        Words.capital(area.words())));
            }
        }
    }

    private void box(Device device) {
        Layout.Place place = layout.place(device.id());
        double x = place.x() / OnPaper.TENTHS;
        double y = place.y() / OnPaper.TENTHS;
        double wide = place.width() / OnPaper.TENTHS;
        double high = place.height() / OnPaper.TENTHS;
        double x0 = Math.max(x, left);
        double y0 = Math.max(y, top);
        double x1 = Math.min(x + wide, right);
        double y1 = Math.min(y + high, bottom);
        boolean isHost = !rig.appsIn(device.id()).isEmpty();
        if (layer == Layer.SOUND && !isJoined(device)) {
            return;
        }
        if (x1 - x0 < 1 || y1 - y0 < 1) {
            return;
        }
        shapes.add(new Shape.Frame(x0 - origin, y0 - roof, x1 - x0, y1 - y0, isHost ? "host" : ""));
        if (y >= top) {
            shapes.add(new Shape.Words(
                    x0 - origin + 1,
                    y - roof + 0.4,
                    Math.max(x1 - x0 - 1.5, 12),
                    OnPaper.NAME_POINTS,
                    "left",
                    true,
                    device.name().text()));
        }
        new OnPaper().ports(rig, layer, device).forEach(port -> port(device, port, x, wide));
    }

    /** Whether anything is joined to it, or to what runs on it. */
    private boolean isJoined(Device device) {
        return Stream.concat(Stream.of(device), rig.appsIn(device.id()).stream())
                .anyMatch(box -> !new OnPaper().ports(rig, layer, box).isEmpty());
    }

    private void port(Device device, Port port, double boxX, double boxWidth) {
        Layout.Point at = layout.port(new Socket(device.id(), port.id()));
        double x = at.x() / OnPaper.TENTHS;
        double y = at.y() / OnPaper.TENTHS;
        if (x < left - 0.01 || x > right + 0.01 || y < top || y > bottom) {
            return;
        }
        boolean isRight = x > boxX + boxWidth / 2;
        // Within a computer lines go on to what runs on it: names stand above them, or below where they leave.
        boolean isHost = !rig.appsIn(device.id()).isEmpty();
        double up = !isHost ? Marks.LETTERS / 2 : isRight ? -0.5 : Marks.LETTERS + 0.4;
        double room = Ruler.PLAIN.width(port.name().text(), OnPaper.POINTS) / Setting.MM + 1;
        shapes.add(new Shape.Frame(x - origin - 0.6, y - roof - 0.6, 1.2, 1.2, "plug"));
        shapes.add(new Shape.Words(
                isRight ? x - origin - 1 - room : x - origin + 1,
                y - roof - up,
                room,
                OnPaper.POINTS,
                isRight ? "right" : "left",
                false,
                port.name().text()));
    }

    /** The pieces of a line that lie here. */
    private void line(Link link) {
        List<Layout.Point> points = layout.line(link);
        String kind = rig.kind(link).key();
        for (int i = 0; i + 1 < points.size(); i++) {
            double x0 = points.get(i).x() / OnPaper.TENTHS;
            double y0 = points.get(i).y() / OnPaper.TENTHS;
            double x1 = points.get(i + 1).x() / OnPaper.TENTHS;
            double y1 = points.get(i + 1).y() / OnPaper.TENTHS;
            double a = Math.max(Math.min(x0, x1), left);
            double b = Math.min(Math.max(x0, x1), right);
            double c = Math.max(Math.min(y0, y1), top);
            double d = Math.min(Math.max(y0, y1), bottom);
            if (a <= b && c <= d) {
                shapes.add(new Shape.Stroke(a - origin, c - roof, Math.max(b - a, 0.1), Math.max(d - c, 0.1), kind));
            }
        }
    }
}
