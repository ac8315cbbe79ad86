package embrack.paper.type;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Objects;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** How wide texts are in one of the fonts that are printed, and how many lines they take. */
public final class Ruler {

    public static final Ruler PLAIN = new Ruler(Fonts.PLAIN);
    public static final Ruler BOLD = new Ruler(Fonts.BOLD);
    public static final Ruler FIGURES = new Ruler(Fonts.FIGURES);

    /** Letters that another font is asked for are taken to be so wide, against their height: few are wider. */
    private static final double UNKNOWN = 0.75;

    private static final int KNOWN = 0x2500;

    /** Widths in parts of the size of the type, by code point. */
    private final double[] widths = new double[KNOWN];

    private final double capital;

    private Ruler(String font) {
        try (InputStream in = Objects.requireNonNull(Ruler.class.getResourceAsStream(Fonts.path(font)));
                TrueTypeFont type = new TTFParser().parse(new RandomAccessReadBuffer(in))) {
            CmapLookup letters = type.getUnicodeCmapLookup();
            double unit = type.getUnitsPerEm();
            for (int c = 0; c < KNOWN; c++) {
                int glyph = letters.getGlyphId(c);
                widths[c] = glyph == 0 ? UNKNOWN : type.getAdvanceWidth(glyph) / unit;
            }
            capital = Objects.requireNonNull(type.getOS2Windows()).getCapHeight() / unit;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** How high a capital letter is, in parts of the size of the type. */
    public double capital() {
        return capital;
    }

    /** How wide a text is in one line, in the unit of the size of the type. */
    public double width(String text, double size) {
        return size
                * text.codePoints()
                        .mapToDouble(c -> c < KNOWN ? widths[c] : UNKNOWN)
                        .sum();
    }

    /** How many lines a text takes: broken at blanks, and inside words that are wider than a line; 0 for none. */
    public int lines(String text, double size, double width) {
        if (text.isEmpty()) {
            return 0;
        }
        double blank = width(" ", size);
        int lines = 1;
        double used = 0;
        for (String word : text.split("\\s+")) {
            double wide = width(word, size);
            if (used > 0 && used + blank + wide > width) {
                lines++;
                used = 0;
            }
            double from = used == 0 ? 0 : used + blank;
            used = from + wide;
            while (used > width) {
                lines++;
                used -= width;
            }
        }
        return lines;
    }
}
