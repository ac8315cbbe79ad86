package embrack.app.models;

import embrack.core.chart.Part;
import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.ControlType;
import embrack.core.gear.Direction;
import embrack.core.gear.Port;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * A box as it looks from above: sockets at its back, controls as they lie, the parts that can be acted on. All lengths
 * in pixels.
 */
record ModelDrawing(int width, int height, List<Shape> shapes) {

    private static final int WIDTH = 620;
    private static final int MARGIN = 18;
    private static final int INNER = WIDTH - 2 * MARGIN;
    private static final int TREADLE_WIDTH = 64;
    private static final int MOST_CELLS = 32;

    /**
     * Something drawn.
     *
     * @param form "rect", "circle" or "text"
     * @param css what it stands for
     * @param x left edge; the middle of a circle; the start of a text
     * @param y top edge; the middle of a circle; the base line of a text
     * @param width of a rectangle; the radius of a circle
     */
    record Shape(String form, String css, double x, double y, double width, double height, String text) {}

    static ModelDrawing of(Sockets sockets, Surface surface, List<Part> parts) {
        return new Drawing().draw(sockets, surface, parts);
    }

    private static final class Drawing {

        private final List<Shape> shapes = new ArrayList<>();
        private double y = MARGIN;

        ModelDrawing draw(Sockets sockets, Surface surface, List<Part> parts) {
            sockets(sockets.ports());
            double top = y;
            boolean treadles = surface.groups().stream().anyMatch(g -> g.type() == ControlType.TREADLE);
            double room = INNER - (treadles ? TREADLE_WIDTH + 20 : 0);
            y += 12;
            surface.groups().stream()
                    .filter(g -> g.type() != ControlType.TREADLE && g.type() != ControlType.KEY)
                    .forEach(g -> group(g, room));
            surface.board().ifPresent(board -> board(board, room));
            surface.groups().stream().filter(g -> g.type() == ControlType.KEY).forEach(g -> keys(g, room));
            surface.groups().stream()
                    .filter(g -> g.type() == ControlType.TREADLE)
                    .forEach(g -> treadle(g, top));
            families(parts);
            shapes.addFirst(new Shape("rect", "case", 4, top - 4, WIDTH - 8.0, y - top + 8, ""));
            return new ModelDrawing(WIDTH, (int) Math.ceil(y + 10), List.copyOf(shapes));
        }

        private void sockets(List<Port> ports) {
            double x = MARGIN;
            for (Port port : ports) {
                String name = port.name().text() + arrow(port.direction());
                double needed = 26 + name.length() * 9.3;
                if (x + needed > WIDTH - MARGIN) {
                    x = MARGIN;
                    y += 30;
                }
                shapes.add(new Shape(
                        "circle", "socket " + (port.connector().isSerial() ? "din" : "other"), x + 8, y + 6, 7, 0, ""));
                text(x + 22, y + 11, name, "label");
                x += needed + 12;
            }
            y += ports.isEmpty() ? 6 : 34;
        }

        private static String arrow(Direction direction) {
            return switch (direction) {
                case IN -> " \u2193";
                case OUT, THRU -> " \u2191";
                case BOTH -> " \u2195";
            };
        }

        private void group(ControlGroup group, double room) {
            caption(group.words());
            double step = Math.min(64, room / group.columns());
            double height =
                    switch (group.type()) {
                        case FADER -> 76;
                        case PAD -> Math.min(46, step) + 6;
                        default -> 38;
                    };
            for (int i = 0; i < group.count(); i++) {
                double x = MARGIN + step * (i % group.columns());
                double top = y + height * (i / group.columns());
                control(group.type(), x + step / 2, top, step);
            }
            y += height * Math.ceilDiv(group.count(), group.columns()) + 10;
        }

        private void control(ControlType type, double middle, double top, double step) {
            switch (type) {
                case KNOB -> {
                    shapes.add(new Shape("circle", "knob", middle, top + 15, 13, 0, ""));
                    rect("mark", middle - 1.5, top + 3, 3, 9);
                }
                case FADER -> {
                    rect("slot", middle - 2, top + 2, 4, 64);
                    rect("cap", middle - 10, top + 22, 20, 11);
                }
                case PAD ->
                    rect(
                            "pad",
                            middle - Math.min(40, step - 6) / 2,
                            top,
                            Math.min(40, step - 6),
                            Math.min(40, step - 6));
                default -> rect("cap", middle - 14, top + 6, 28, 18);
            }
        }

        private void board(Board board, double room) {
            caption("%d switches%s"
                    .formatted(
                            board.switches(),
                            board.banks().size() > 1
                                    ? ", %d banks".formatted(board.banks().size())
                                    : ""));
            double step = Math.min(100, room / board.columns());
            int rows = Math.ceilDiv(board.switches(), board.columns());
            for (int n = 1; n <= board.switches(); n++) {
                int row = rows - 1 - (n - 1) / board.columns();
                double x = MARGIN + step * ((n - 1) % board.columns()) + step / 2;
                double middle = y + 24 + row * 52;
                shapes.add(new Shape("circle", "switch", x, middle, 19, 0, ""));
                shapes.add(new Shape("text", "number", x, middle + 6, 0, 0, String.valueOf(n)));
            }
            y += rows * 52 + 8;
        }

        private void keys(ControlGroup group, double room) {
            caption(group.words());
            List<Integer> whites = IntStream.range(0, group.count())
                    .filter(i -> "010100101010".charAt(i % 12) == '0')
                    .boxed()
                    .toList();
            double step = room / whites.size();
            for (int i = 0; i < whites.size(); i++) {
                rect("white", MARGIN + i * step, y, step, 74);
            }
            for (int i = 0; i + 1 < whites.size(); i++) {
                if (whites.get(i + 1) - whites.get(i) == 2) {
                    rect("black", MARGIN + (i + 1) * step - step * 0.3, y, step * 0.6, 44);
                }
            }
            y += 86;
        }

        private void treadle(ControlGroup group, double top) {
            double height = Math.max(120, y - top - 20);
            double x = WIDTH - MARGIN - TREADLE_WIDTH;
            rect("treadle", x, top + 10, TREADLE_WIDTH, height);
            IntStream.range(1, 7)
                    .forEach(i -> rect("slot", x + 10, top + 10 + i * height / 7, TREADLE_WIDTH - 20.0, 3));
            y = Math.max(y, top + height + 20);
        }

        private void families(List<Part> parts) {
            Map<String, Integer> families = new LinkedHashMap<>();
            parts.forEach(part -> families.merge(part.family(), 1, Integer::sum));
            double x = MARGIN;
            double rowTop = y + 4;
            for (Map.Entry<String, Integer> family : families.entrySet()) {
                int cells = Math.min(MOST_CELLS, family.getValue());
                double needed = Math.max(family.getKey().length() * 9.6 + 6, cells * 13) + 18;
                if (x + needed > WIDTH - MARGIN && x > MARGIN) {
                    x = MARGIN;
                    rowTop += 46;
                }
                text(
                        x,
                        rowTop + 14,
                        family.getKey() + (family.getValue() > MOST_CELLS ? " \u00d7 " + family.getValue() : ""),
                        "label");
                for (int i = 0; i < cells; i++) {
                    rect("cell", x + i * 13.0, rowTop + 20, 10, 14);
                }
                x += needed;
            }
            y = families.isEmpty() ? Math.max(y, 70) : rowTop + 44;
        }

        private void caption(String words) {
            text(MARGIN, y + 13, words, "label");
            y += 22;
        }

        private void text(double x, double baseline, String words, String css) {
            shapes.add(new Shape("text", css, x, baseline, 0, 0, words));
        }

        private void rect(String css, double x, double top, double width, double height) {
            shapes.add(new Shape("rect", css, x, top, width, height, ""));
        }
    }
}
