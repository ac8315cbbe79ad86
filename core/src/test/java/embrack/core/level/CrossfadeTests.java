package embrack.core.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Gains of the two laws, from 20 log10 of the gain; of both together, from the sum of powers (arithmetic). */
class CrossfadeTests {

    @ParameterizedTest
    @CsvSource({
        "LINEAR, 0.5, -6.0, -3.0",
        "EQUAL_POWER, 0.5, -3.0, 0.0",
        "LINEAR, 1, 0.0, 0.0",
        "EQUAL_POWER, 1, 0.0, 0.0",
        "LINEAR, 0.25, -12.0, -2.0",
        "EQUAL_POWER, 0.25, -8.3, 0.0"
    })
    void eachAndBothTogether(Crossfade law, double along, double each, double both) {
        assertThat(law.decibels(along)).isCloseTo(each, within(0.05));
        assertThat(law.bothTogether(along)).isCloseTo(both, within(0.05));
    }

    @ParameterizedTest
    @ValueSource(doubles = {-0.01, 1.01, Double.NaN})
    void thereIsNothingBeforeItsStartAndBehindItsEnd(double along) {
        assertThatIllegalArgumentException().isThrownBy(() -> Crossfade.LINEAR.gain(along));
    }
}
