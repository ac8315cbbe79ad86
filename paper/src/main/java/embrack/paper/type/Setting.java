package embrack.paper.type;

import embrack.paper.page.Part.Form;
import java.util.Locale;

/**
 * How a page is set; lengths in points of 1/72 inch.
 *
 * @param size of the type
 * @param width of the page
 * @param height of the page
 * @param margin at the sides and above
 * @param foot below, with the line that says what page it is
 */
public record Setting(double size, double width, double height, double margin, double foot, int columns) {

    /** Points in a millimetre. */
    public static final double MM = 72 / 25.4;

    private static final double SMALL = 7.2;
    private static final double LARGE = 13.5;
    private static final double LEADING = 1.21;
    private static final double GAP = 5.5 * MM;
    private static final double CELL_GAP = 3;
    private static final double BOX = 11;

    /** Columns beside each other have to be a little narrower than the page, or the last goes under the others. */
    private static final double ROUNDING = 0.4;

    /** How a part of some form is set on a paper. */
    public static Setting of(Form form, Paper paper) {
        boolean wide = form.isLandscape();
        double margin = 9 * MM;
        return new Setting(
                form == Form.LARGE ? LARGE : SMALL,
                wide ? paper.height() : paper.width(),
                wide ? paper.width() : paper.height(),
                margin,
                11 * MM,
                form.columns());
    }

    /** How wide what is printed can be. */
    public double room() {
        return width - 2 * margin;
    }

    /** How high what is printed can be, under the head of the page. */
    public double depth() {
        return height - margin - foot - head();
    }

    /** The title of a page and what stands beside it, with the space under them. */
    public double head() {
        return 26;
    }

    /** How wide a column is. */
    public double column() {
        return (room() - (columns - 1) * gap()) / columns;
    }

    /** What lies between two columns. */
    public double gap() {
        return columns == 1 ? 0 : GAP;
    }

    /** From one line to the next. */
    public double leading() {
        return size * LEADING;
    }

    /** What a cell of a table keeps free at its right. */
    public double cellGap() {
        return CELL_GAP;
    }

    /** The box before a line that is ticked, with its gap. */
    public double box() {
        return BOX * size / SMALL;
    }

    /** How wide a box with a short number beside it is. */
    public double tickMark() {
        return box() + 2.2 * size;
    }

    /** How many of these go beside each other. */
    public int ticksInARow() {
        return (int) (column() / tickMark());
    }

    /** What lies between two lines that are not one sentence. */
    public double between() {
        return size * 0.2;
    }

    /** The size of a heading. */
    public double heading() {
        return size * 1.14;
    }

    /** What lies above a heading. */
    public double above() {
        return size * 0.75;
    }

    /** All of it for a style sheet: widths and sizes of a form. */
    public String style(String form) {
        return String.format(
                Locale.ROOT,
                """
                .%1$s{font-size:%2$.2fpt;line-height:%3$.2fpt}
                .%1$s .head{width:%11$.2fpt}
                .%1$s h2{font-size:%4$.2fpt;line-height:%3$.2fpt;padding-top:%5$.2fpt}
                .%1$s .line,.%1$s .cell{padding:%6$.2fpt 0}
                .%1$s .cell{padding-right:%7$.2fpt}
                .%1$s .column{width:%8$.2fpt;padding-right:%9$.2fpt}
                .%1$s .column.last{padding-right:0}
                .%1$s .mark{width:%10$.2fpt;height:%3$.2fpt;margin-bottom:%6$.2fpt}
                """,
                form,
                size,
                leading(),
                heading(),
                above(),
                between() / 2,
                cellGap(),
                column() - ROUNDING,
                gap(),
                tickMark(),
                room());
    }
}
