package embrack.paper.type;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embrack.paper.page.Part.Form;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.font.FontRenderContext;
import java.awt.font.TextAttribute;
import java.awt.geom.AffineTransform;
import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Letters, lines and pages have the sizes that others measure too. */
class PaperTypeTests {

    /** Read once each: the JDK keeps a copy on disc of whatever it reads. */
    private static final Map<String, Font> OF_THE_JDK = new ConcurrentHashMap<>();

    private static final FontRenderContext EXACT = new FontRenderContext(new AffineTransform(), true, true);

    /** Sizes of ISO 216 and of ANSI/ASME Y14.1, in millimetres and inches. */
    @ParameterizedTest
    @CsvSource({"A4, 210, 297, 25.4", "LETTER, 8.5, 11, 1"})
    void papersAreAsLargeAsTheStandardsSay(Paper paper, double width, double height, double inch) {
        assertThat(paper.width() / 72).isCloseTo(width / inch, within(0.005));
        assertThat(paper.height() / 72).isCloseTo(height / inch, within(0.005));
        assertThat(Paper.of(paper.key())).isEqualTo(paper);
        assertThat(Paper.of("papyrus")).isEqualTo(Paper.A4);
    }

    /** Columns with what lies between them fill what a page leaves free, on any paper in any form. */
    @Test
    void columnsFillThePage() {
        for (Paper paper : Paper.values()) {
            for (Form form : Form.values()) {
                Setting setting = Setting.of(form, paper);
                assertThat(setting.columns() * setting.column() + (setting.columns() - 1) * setting.gap())
                        .as("%s on %s", form, paper)
                        .isCloseTo(setting.room(), within(1e-9));
                assertThat(setting.width() > setting.height()).isEqualTo(form.isLandscape());
                assertThat(setting.depth() + setting.head() + setting.margin() + setting.foot())
                        .isCloseTo(setting.height(), within(1e-9));
                assertThat(setting.ticksInARow() * setting.tickMark()).isLessThanOrEqualTo(setting.column());
                assertThat((setting.ticksInARow() + 1) * setting.tickMark()).isGreaterThan(setting.column());
                assertThat(setting.leading()).isGreaterThan(setting.size());
            }
        }
    }

    /** Measured by the font machinery of the JDK, which reads the same files by another way, without kerning. */
    @Property(tries = 150)
    void textsAreAsWideAsTheJdkSays(@ForAll("texts") String text, @ForAll @DoubleRange(min = 5, max = 40) double size) {
        for (var known : Map.of(Fonts.PLAIN, Ruler.PLAIN, Fonts.BOLD, Ruler.BOLD, Fonts.FIGURES, Ruler.FIGURES)
                .entrySet()) {
            double jdk = byJdk(known.getKey(), text, size);
            // The JDK rounds each letter to a part of a dot.
            assertThat(known.getValue().width(text, size))
                    .as(known.getKey())
                    .isCloseTo(jdk, within(size / 100 + jdk / 200));
        }
    }

    private static double byJdk(String name, String text, double size) {
        Font font = OF_THE_JDK
                .computeIfAbsent(name, PaperTypeTests::read)
                .deriveFont(Map.of(TextAttribute.SIZE, (float) size, TextAttribute.KERNING, 0));
        return text.chars()
                .mapToDouble(letter ->
                        font.getStringBounds(Character.toString(letter), EXACT).getWidth())
                .sum();
    }

    private static Font read(String name) {
        try (InputStream in = Objects.requireNonNull(Fonts.class.getResourceAsStream(Fonts.path(name)))) {
            return Font.createFont(Font.TRUETYPE_FONT, in);
        } catch (IOException | FontFormatException e) {
            throw new IllegalStateException(name + " cannot be read", e);
        }
    }

    @Provide
    Arbitrary<String> texts() {
        return Arbitraries.strings()
                .withCharRange(' ', '~')
                .withChars('\u00E9', '\u00FC', '\u00D7', '\u00A0', '\u2013')
                .ofMaxLength(60);
    }

    /** A letter of the type for figures is as wide as any other, so that numbers stand under each other. */
    @Test
    void figuresStandUnderEachOther() {
        double one = Ruler.FIGURES.width("1", 10);
        "0123456789ABCDEFabcdef .:-%"
                .chars()
                .forEach(letter -> assertThat(Ruler.FIGURES.width(Character.toString(letter), 10))
                        .isCloseTo(one, within(1e-9)));
        assertThat(Ruler.BOLD.width("Mute", 10)).isGreaterThan(Ruler.PLAIN.width("Mute", 10));
        assertThat(Ruler.PLAIN.capital()).isBetween(0.6, 0.75);
    }

    /** Broken by hand at 10 points: "mute" and a blank are about 24 points wide. */
    @ParameterizedTest
    @CsvSource({
        "'', 100, 0",
        "mute, 100, 1",
        "mute, 5, 5",
        "mute mute, 100, 1",
        "mute mute, 30, 2",
        "mute mute mute mute, 50, 2",
        "mute mute mute mute, 30, 4",
        "'mute\nmute', 100, 1"
    })
    void textsAreBrokenIntoLines(String text, double width, int lines) {
        assertThat(Ruler.PLAIN.lines(text, 10, width)).isEqualTo(lines);
    }

    /** What is broken into lines has room in them, and more room never takes more lines. */
    @Property(tries = 300)
    void linesHaveRoomForAllAndAreNotWasted(
            @ForAll("texts") String text, @ForAll @DoubleRange(min = 20, max = 200) double width) {
        int lines = Ruler.PLAIN.lines(text, 10, width);
        double all = Ruler.PLAIN.width(text.strip().replaceAll("\\s+", " "), 10);
        assertThat(lines * width).isGreaterThanOrEqualTo(all - lines * Ruler.PLAIN.width(" ", 10) - 1e-6);
        assertThat(Ruler.PLAIN.lines(text, 10, width * 2)).isLessThanOrEqualTo(lines);
        assertThat(lines <= 1).isEqualTo(text.isBlank() || all <= width + 1e-9);
    }

    @ParameterizedTest
    @CsvSource({"'', 38 \u00D7 13", "38x13, 38 \u00D7 13", "' 20 * 8 mm', 20 \u00D7 8", "100 \u00D7 60, 100 \u00D7 60"})
    void sizesOfLabelsAreReadAsTheyAreSaid(String typed, String words) {
        LabelSize size = LabelSize.of(typed);
        assertThat(size.words()).isEqualTo(words);
        assertThat(LabelSize.of(size.words())).isEqualTo(size);
    }

    /** A larger label holds whatever a smaller one holds. */
    @Property(tries = 200)
    void largerLabelsHoldMore(@ForAll("texts") String text) {
        boolean[] holds = {
            new LabelSize(20, 8).holds(text),
            new LabelSize(38, 13).holds(text),
            new LabelSize(60, 25).holds(text),
            new LabelSize(100, 60).holds(text)
        };
        for (int i = 0; i + 1 < holds.length; i++) {
            assertThat(!holds[i] || holds[i + 1]).as(text).isTrue();
        }
        assertThat(new LabelSize(20, 8).holds("W".repeat(60))).isFalse();
    }
}
