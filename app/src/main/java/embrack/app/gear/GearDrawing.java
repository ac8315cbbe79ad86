package embrack.app.gear;

import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.ControlType;
import embrack.core.gear.Model;
import java.util.ArrayList;
import java.util.List;

/** A box as a small sketch from above, in ink: what is pressed and moved on it, or what it is. Lengths in pixels. */
record GearDrawing(int width, int height, List<Shape> shapes) {

    private static final int MOST_WIDE = 152;
    private static final int ROW = 18;
    private static final int MOST_DOTS = 12;

    /**
     * Something drawn.
     *
     * @param form "rect" or "circle"
     * @param x left edge, or the middle of a circle
     * @param width of a rectangle, or the radius of a circle
     */
    record Shape(String form, String css, double x, double y, double width, double height) {}

    static GearDrawing of(Model model) {
        var sketch = new Sketch();
        model.surface().groups().stream()
                .filter(group -> group.type() != ControlType.TREADLE && group.type() != ControlType.KEY)
                .limit(2)
                .forEach(sketch::group);
        model.board().ifPresent(sketch::board);
        if (model.surface().groups().stream().anyMatch(group -> group.type() == ControlType.KEY)) {
            sketch.keys();
        }
        boolean hasTreadle = model.surface().groups().stream().anyMatch(group -> group.type() == ControlType.TREADLE);
        if (sketch.isBlank()) {
            sketch.kind(model);
        }
        return sketch.drawn(hasTreadle);
    }

    private static final class Sketch {

        private final List<Shape> shapes = new ArrayList<>();
        private int y = 10;
        private int wide = 40;

        boolean isBlank() {
            return shapes.isEmpty();
        }

        void board(Board board) {
            int rows = Math.ceilDiv(board.switches(), board.columns());
            double step = Math.min(27, (MOST_WIDE - 20.0) / board.columns());
            for (int n = 0; n < board.switches(); n++) {
                circle(
                        10 + step / 2 + step * (n % board.columns()),
                        y + 6 + ROW * (rows - 1 - n / board.columns()),
                        Math.min(5, step / 3));
            }
            grow(board.columns() * step, rows * ROW);
        }

        void group(ControlGroup group) {
            int columns = Math.min(group.columns(), 16);
            int rows = Math.min(3, Math.ceilDiv(group.count(), group.columns()));
            double step = Math.min(20, (MOST_WIDE - 20.0) / columns);
            for (int n = 0; n < columns * rows && n < group.count(); n++) {
                double x = 10 + step / 2 + step * (n % columns);
                double top = y + ROW * (n / columns);
                switch (group.type()) {
                    case FADER -> {
                        rect("slot", x - 1, top, 2, 26);
                        rect("cap", x - 4, top + 6 + n * 7 % 14, 8, 5);
                    }
                    case KNOB -> circle(x, top + 6, Math.min(5, step / 3));
                    default -> rect("cap", x - step / 3, top + 2, step * 2 / 3, 9);
                }
            }
            grow(columns * step, group.type() == ControlType.FADER ? 32 : rows * ROW);
        }

        void keys() {
            for (int n = 0; n < 14; n++) {
                rect("cap", 10 + n * 9.4, y, 9.4, 22);
            }
            for (int n = 0; n < 13; n++) {
                if ("1101110".charAt(n % 7) == '1') {
                    rect("slot", 10 + (n + 1) * 9.4 - 2.5, y, 5, 13);
                }
            }
            grow(132, 24);
        }

        void kind(Model model) {
            switch (model.kind()) {
                case HOST, PICTURES -> {
                    rect("screen", 10, y, 96, 34);
                    grow(96, 36);
                }
                case TRACK_PLAYER, INSTRUMENT_HOST -> {
                    for (int n = 0; n < 3; n++) {
                        rect("cap", 10 + n * 14, y + n * 9, 58 + n * 10, 5);
                    }
                    grow(96, 28);
                }
                case MIXER, LIGHT_DESK, LOOPER, SOUND_SWITCHER ->
                    dots(Math.min(MOST_DOTS, Math.max(3, model.parts().size())));
                default ->
                    dots(Math.clamp(model.midiPorts().size() + model.inputs().size(), 1, MOST_DOTS));
            }
        }

        private void dots(int count) {
            for (int n = 0; n < count; n++) {
                circle(15 + n * 11, y + 5, 3.2);
            }
            grow(count * 11.0, 14);
        }

        private void grow(double width, int height) {
            wide = Math.max(wide, (int) Math.ceil(width + 20));
            y += height;
        }

        GearDrawing drawn(boolean hasTreadle) {
            int high = y + 6;
            if (hasTreadle) {
                rect("cap", wide + 2, 8, 20, high - 14.0);
                wide += 28;
            }
            shapes.addFirst(new Shape("rect", "case", 1, 1, wide - 2.0, high - 2.0));
            return new GearDrawing(wide, high, List.copyOf(shapes));
        }

        private void circle(double x, double middle, double radius) {
            shapes.add(new Shape("circle", "round", x, middle, radius, 0));
        }

        private void rect(String css, double x, double top, double width, double height) {
            shapes.add(new Shape("rect", css, x, top, width, height));
        }
    }
}
