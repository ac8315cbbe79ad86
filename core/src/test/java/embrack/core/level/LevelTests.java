package embrack.core.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import embrack.core.level.Takeover.Position;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LevelTests {

    /**
     * 40 log10(value / 127): General MIDI Level 1 Developer Guidelines, values computed by hand; 20 log10: common
     * practice, no source.
     */
    @ParameterizedTest
    @CsvSource(textBlock = """
            DECIBELS, 127, 0, 0.0 dB
            DECIBELS, 100, 0, \u22124.2 dB
            DECIBELS, 64,  0, \u221211.9 dB
            DECIBELS, 32,  0, \u221223.9 dB
            DECIBELS, 1,   0, \u221284.2 dB
            DECIBELS, 0,   0, silent
            DECIBELS, 127, 6, 6.0 dB
            DECIBELS, 64,  6, \u22125.9 dB
            GAIN,     64,  0, \u22126.0 dB
            PERCENT,  64,  0, 50 %
            PERCENT,  0,   0, 0 %
            """)
    void levelsAreSaidInTheirLaw(Law law, int value, int top, String words) {
        assertThat(law.shown(value, top)).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({
        "DECIBELS, 127, 64, falls by 11.9 dB",
        "DECIBELS, 64, 127, rises by 11.9 dB",
        "PERCENT, 127, 64, falls by 50 %",
        "GAIN, 0, 127, rises from silent to 0.0 dB",
        "DECIBELS, 5, 5, stays"
    })
    void aJumpIsSaidInTheUnitOfItsTarget(Law law, int from, int to, String words) {
        assertThat(law.move(from, to, 0)).isEqualTo(words);
    }

    @Property
    void aCapIsNeverPassedAndIsAsHighAsItCanBe(
            @ForAll @IntRange(min = -20, max = 6) int cap, @ForAll @IntRange(min = 0, max = 12) int top) {
        int highest = Law.DECIBELS.valueAtMost(cap, top);
        Range capped = new Range(0, 127, Curve.SLOW).capped(highest);
        assertThat(IntStream.rangeClosed(0, 127).map(capped::at))
                .allMatch(value -> Law.DECIBELS.decibels(value, top) <= cap);
        assertThat(highest == 127 || Law.DECIBELS.decibels(highest + 1, top) > cap)
                .isTrue();
    }

    @Test
    void rangesRunEvenlyOrAlongACurveAndBothWays() {
        assertThat(IntStream.of(0, 64, 127).map(Range.FULL::at)).containsExactly(0, 64, 127);
        assertThat(IntStream.of(0, 64, 127).map(new Range(20, 100, Curve.LINEAR)::at))
                .containsExactly(20, 60, 100);
        assertThat(IntStream.of(0, 64, 127).map(new Range(0, 127, Curve.SLOW)::at))
                .containsExactly(0, 32, 127);
        assertThat(IntStream.of(0, 32, 127).map(new Range(0, 127, Curve.FAST)::at))
                .containsExactly(0, 64, 127);
        Range inverted = new Range(20, 100, Curve.LINEAR).inverted();
        assertThat(IntStream.of(0, 127).map(inverted::at)).containsExactly(100, 20);
        assertThat(inverted.isInverted()).isTrue();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Range(0, 128, Curve.LINEAR))
                .withMessageContaining("level at the toe");
    }

    @ParameterizedTest
    @CsvSource({
        "SCALED, 0.5, 1.0, 0.25, 0.5",
        "SCALED, 0.5, 1.0, 0.0, 0.0",
        "SCALED, 0.5, 0.0, 0.75, 0.5",
        "SCALED, 0.5, 0.2, 1.0, 1.0",
        "JUMP, 0.5, 1.0, 0.45, 0.45",
        "CATCH, 0.5, 1.0, 0.75, 1.0",
        "CATCH, 0.5, 0.7, 0.8, 0.8",
        "CATCH, 0.5, 0.7, 0.65, 0.7",
        "CATCH, 0.5, 0.5, 0.1, 0.1"
    })
    void whatHappensToAFaderThatStandsElsewhere(
            Takeover takeover, double fader, double value, double to, double expected) {
        assertThat(takeover.move(new Position(fader, value), to).value()).isCloseTo(expected, within(1e-12));
    }

    @Test
    void onlyAJumpMovesAtTheFirstTouch() {
        Position apart = new Position(64 / 127.0, 1);
        assertThat(Takeover.JUMP.jump(apart)).isCloseTo(-63 / 127.0, within(1e-12));
        assertThat(Takeover.CATCH.jump(apart)).isZero();
        assertThat(Takeover.SCALED.jump(apart)).isZero();
    }

    /** A scaled value moves the way the fader does, never leaves the range, and arrives at either end with it. */
    @Property
    void scaledNeverJumpsNorTurnsRound(
            @ForAll @DoubleRange(min = 0.01, max = 0.99) double fader,
            @ForAll @DoubleRange(min = 0, max = 1) double value,
            @ForAll @DoubleRange(min = 0, max = 1) double to) {
        Position start = new Position(fader, value);
        double moved = Takeover.SCALED.move(start, to).value();
        if (!start.hasMet()) {
            assertThat(Math.signum(moved - value) * Math.signum(to - fader)).isGreaterThanOrEqualTo(0);
        }
        assertThat(moved).isBetween(0.0, 1.0);
        assertThat(Takeover.SCALED.move(start, 0).value()).isCloseTo(0, within(0.005));
        assertThat(Takeover.SCALED.move(start, 1).value()).isCloseTo(1, within(0.005));
    }
}
