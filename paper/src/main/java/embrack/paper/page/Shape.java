package embrack.paper.page;

import java.util.Locale;

/** Something in a drawing; all lengths in millimetres from its upper left corner. */
public sealed interface Shape {

    /** How high a line of letters is for each point of their size, mm. */
    double LEADING = 0.41;

    /** What it is, in a word that templates choose by: {@code frame}. */
    default String sort() {
        return getClass().getSimpleName().toLowerCase(Locale.ROOT);
    }

    /** Where its upper edge is. */
    double y();

    /** Where its lower edge is. */
    double bottom();

    /** The same, so much further down. */
    Shape down(double by);

    /**
     * A stroke, level or upright.
     *
     * @param kind of the link it belongs to, which has a pattern of its own: {@code usb}
     */
    record Stroke(double x, double y, double width, double height, String kind) implements Shape {
        @Override
        public double bottom() {
            return y + height;
        }

        @Override
        public Shape down(double by) {
            return new Stroke(x, y + by, width, height, kind);
        }
    }

    /** A box with a frame. */
    record Frame(double x, double y, double width, double height, String tone) implements Shape {
        @Override
        public double bottom() {
            return y + height;
        }

        @Override
        public Shape down(double by) {
            return new Frame(x, y + by, width, height, tone);
        }
    }

    /**
     * Words in a line.
     *
     * @param width of the room for them
     * @param points the size of the type
     * @param side {@code left}, {@code right} or {@code center}
     */
    record Words(double x, double y, double width, double points, String side, boolean isBold, String text)
            implements Shape {
        @Override
        public double bottom() {
            return y + points * LEADING;
        }

        @Override
        public Shape down(double by) {
            return new Words(x, y + by, width, points, side, isBold, text);
        }
    }

    /** A filled square, as of a code that a camera reads. */
    record Fill(double x, double y, double width, double height, String colour) implements Shape {
        @Override
        public double bottom() {
            return y + height;
        }

        @Override
        public Shape down(double by) {
            return new Fill(x, y + by, width, height, colour);
        }
    }
}
