package embrack.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ColourTests {

    private static final Emitter RED = new Emitter(new Chromaticity(0.69, 0.308), 0.25);
    private static final Emitter GREEN = new Emitter(new Chromaticity(0.17, 0.70), 0.60);
    private static final Emitter BLUE = new Emitter(new Chromaticity(0.135, 0.055), 0.08);
    private static final Emitter AMBER = new Emitter(new Chromaticity(0.57, 0.42), 0.40);
    private static final Emitter WHITE = new Emitter(new Chromaticity(0.33, 0.34), 1);

    /**
     * The pairs of Sharma, Wu and Dalal, "The CIEDE2000 Color-Difference Formula: Implementation Notes", Color Research
     * and Application 30 (2005), table 1; typed from memory.
     */
    @ParameterizedTest
    @CsvSource({
        "50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425",
        "50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615",
        "50, 2.8361, -74.0200, 50, 0, -82.7485, 3.4412",
        "50, -1.3802, -84.2814, 50, 0, -82.7485, 1.0000",
        "50, -1.1848, -84.8006, 50, 0, -82.7485, 1.0000",
        "50, -0.9009, -85.5211, 50, 0, -82.7485, 1.0000",
        "50, 0, 0, 50, -1, 2, 2.3669",
        "50, -1, 2, 50, 0, 0, 2.3669",
        "50, 2.4900, -0.0010, 50, -2.4900, 0.0009, 7.1792",
        "50, 2.4900, -0.0010, 50, -2.4900, 0.0010, 7.1792",
        "50, 2.4900, -0.0010, 50, -2.4900, 0.0011, 7.2195",
        "50, 2.4900, -0.0010, 50, -2.4900, 0.0012, 7.2195",
        "50, -0.0010, 2.4900, 50, 0.0009, -2.4900, 4.8045",
        "50, -0.0010, 2.4900, 50, 0.0010, -2.4900, 4.8045",
        "50, -0.0010, 2.4900, 50, 0.0011, -2.4900, 4.7461",
        "50, 2.5, 0, 50, 0, -2.5, 4.3065",
        "50, 2.5, 0, 73, 25, -18, 27.1492",
        "50, 2.5, 0, 61, -5, 29, 22.8977",
        "50, 2.5, 0, 56, -27, -3, 31.9030",
        "50, 2.5, 0, 58, 24, 15, 19.4535",
        "50, 2.5, 0, 50, 3.1736, 0.5854, 1.0000",
        "50, 2.5, 0, 50, 3.2972, 0, 1.0000",
        "50, 2.5, 0, 50, 1.8634, 0.5757, 1.0000",
        "50, 2.5, 0, 50, 3.2592, 0.3350, 1.0000",
        "60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644",
        "63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.2630",
        "61.2901, 3.7196, -5.3901, 61.4292, 2.2480, -4.9620, 1.8731",
        "35.0831, -44.1164, 3.7933, 35.0232, -40.0716, 1.5901, 1.8645",
        "22.7233, 20.0904, -46.6940, 23.0331, 14.9730, -42.5619, 2.0373",
        "36.4612, 47.8580, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146",
        "90.8027, -2.0831, 1.4410, 91.1528, -1.6435, 0.0447, 1.4441",
        "90.9257, -0.5406, -0.9208, 88.6381, -0.8985, -0.7239, 1.5381",
        "6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377",
        "2.0776, 0.0795, -1.1350, 0.9033, -0.0636, -0.5514, 0.9082"
    })
    void distancesAreThoseThatWerePublished(
            double l1, double a1, double b1, double l2, double a2, double b2, double distance) {
        Lab one = new Lab(l1, a1, b1);
        Lab other = new Lab(l2, a2, b2);
        assertThat(one.distance(other)).isCloseTo(distance, within(0.00005));
        assertThat(other.distance(one)).as("either way").isCloseTo(distance, within(0.00005));
    }

    /** Places of the primaries and of white: IEC 61966-2-1, clause 4.2. */
    @ParameterizedTest
    @CsvSource({
        "#ff0000, 0.6400, 0.3300, 0.2126",
        "#00ff00, 0.3000, 0.6000, 0.7152",
        "#0000ff, 0.1500, 0.0600, 0.0722",
        "#ffffff, 0.3127, 0.3290, 1.0000",
        "#808080, 0.3127, 0.3290, 0.2159"
    })
    void aScreenShowsItsPrimariesWhereTheStandardHasThem(String hex, double x, double y, double luminance) {
        Xyz light = Srgb.parse(hex).light();
        assertThat(light.chromaticity().x()).isCloseTo(x, within(0.0002));
        assertThat(light.chromaticity().y()).isCloseTo(y, within(0.0002));
        assertThat(light.y()).isCloseTo(luminance, within(0.0001));
        assertThat(Srgb.from(light).hex()).as("there and back").isEqualTo(hex);
    }

    @Test
    void everyNameIsReadAndShown() {
        assertThat(Colour.all())
                .allSatisfy(
                        colour -> assertThat(Colour.parse(" " + colour.words().toUpperCase() + " "))
                                .isEqualTo(colour))
                .extracting(Colour::hex)
                .doesNotHaveDuplicates()
                .contains("#ff0000", "#ffffff");
        assertThat(Colour.parse("x 0.31, y 0.33")).hasToString("x 0.31 y 0.33");
        assertThat(Colour.parse("#3A5FCD").words()).isEqualTo("#3a5fcd");
    }

    @ParameterizedTest
    @CsvSource({
        "ambre, ambre is no colour that is known here. Is it amber?",
        "#12, 'Write a colour of a screen as # and six digits, such as #3a5fcd.'",
        "#000000, Black is no colour of light; write dark."
    })
    void whatIsNoColourIsToldWhatItMayMean(String typed, String words) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Colour.parse(typed))
                .withMessage(words);
    }

    @Test
    void aColourInsideTheLampsIsMixedExactlyAndAsStrongAsCanBe() {
        Chromaticity white = Xyz.WHITE.chromaticity();
        Mixture three = Mixture.of(List.of(RED, GREEN, BLUE), white);
        Mixture four = Mixture.of(List.of(RED, GREEN, BLUE, WHITE), white);
        assertThat(three.distance()).isLessThan(0.01);
        assertThat(three.parts()).allMatch(part -> part >= 0 && part <= 1).contains(1.0);
        assertThat(four.distance()).isLessThan(0.01);
        assertThat(four.light().y())
                .as("white is used where there is some")
                .isGreaterThan(2 * three.light().y());
        Chromaticity amber = Colour.parse("amber").chromaticity();
        assertThat(Mixture.of(List.of(RED, GREEN, BLUE, AMBER), amber).parts().getLast())
                .as("amber too")
                .isEqualTo(1.0);
    }

    @Test
    void aColourOutsideComesAsNearAsItCan() {
        Mixture violet = Mixture.of(
                List.of(RED, GREEN, BLUE), Colour.parse("x 0.17 y 0.01").chromaticity());
        assertThat(violet.distance()).isBetween(1.0, 40.0);
        assertThat(violet.parts().get(1)).as("no green helps").isZero();
        assertThat(Mixture.of(List.of(WHITE), Colour.parse("red").chromaticity()))
                .satisfies(only -> assertThat(only.parts()).containsExactly(1.0))
                .satisfies(only -> assertThat(only.distance()).isGreaterThan(20));
    }

    @Test
    void whatCannotBeIsSaid() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Chromaticity(0.8, 0.3))
                .withMessageContaining("x 0.8 and y 0.3 are none");
        assertThatIllegalArgumentException().isThrownBy(() -> new Srgb(0, 0, 256));
        assertThatIllegalArgumentException().isThrownBy(() -> new Emitter(Xyz.WHITE.chromaticity(), 0));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Mixture.of(List.of(), Xyz.WHITE.chromaticity()))
                .withMessage("A lamp has 1 to 10 emitters, not 0.");
    }
}
