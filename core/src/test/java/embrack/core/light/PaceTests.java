package embrack.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import embrack.core.music.Position;
import embrack.core.music.Tempo;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Paces of chases are read as people write them, and what is written is read again. */
class PaceTests {

    private static final Tempo TEMPO = new Tempo(120_000);

    @ParameterizedTest
    @CsvSource({
        "0.75, 0.75 s, 750000",
        "'0,75 s', 0.75 s, 750000",
        "600, 600 s, 600000000",
        "2 s tapped, 2 s tapped, 2000000",
        "0.02s tapped, 0.02 s tapped, 20000",
        "By sound, by sound, 500000",
        "1 beat, 1 beat, 500000",
        "1/2 beat, 1/2 beat, 250000",
        "0.5 beats, 1/2 beat, 250000",
        "1/3 beat, 1/3 beat, 166667",
        "2/3 beats, 2/3 beats, 333333",
        "4/3 beats, 4/3 beats, 666667",
        "1.3333 beats, 4/3 beats, 666667",
        "3/4 beats, 0.75 beats, 375000",
        "1.5 beats, 1.5 beats, 750000",
        "64 beats, 64 beats, 32000000",
        "7/16 beats, 0.4375 beats, 218750",
        "0.3001 beats, 0.3 beats, 150000"
    })
    void pacesAreReadAsTheyAreWritten(String typed, String words, long micros) {
        Pace pace = Pace.parse(typed).orElseThrow();
        assertThat(pace.words()).isEqualTo(words);
        assertThat(pace.micros(TEMPO)).isEqualTo(micros);
    }

    /** Whatever part of a beat somebody reaches by typing it, a plan with it can be kept and read again. */
    @Property(tries = 1_000)
    void anyPartOfABeatIsReadAgain(
            @ForAll @IntRange(min = Position.TICKS_PER_QUARTER / 4, max = 64 * Position.TICKS_PER_QUARTER) int ticks) {
        Pace pace = new Pace.OnBeat(ticks);
        assertThat(Pace.parse(pace.words())).as(pace.words()).contains(pace);
        assertThat(pace.words()).hasSizeLessThan(16);
        assertThat((double) pace.micros(TEMPO)).isCloseTo(ticks * 500_000.0 / Position.TICKS_PER_QUARTER, within(0.5));
    }

    @Property(tries = 500)
    void anyTimeIsReadAgain(@ForAll @IntRange(min = Pace.SHORTEST, max = Pace.LONGEST) int millis) {
        for (Pace pace : new Pace[] {new Pace.Timed(millis), new Pace.Tapped(millis)}) {
            assertThat(Pace.parse(pace.words())).as(pace.words()).contains(pace);
            assertThat(pace.micros(TEMPO)).isEqualTo(millis * 1_000L);
            assertThat(pace.began(70, TEMPO).startOf(3)).isEqualTo(70 + 3_000L * millis);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "fast", "1/2", "-1 s", "1 s s", "beats", "1/0.5 beats", "1.00001 beats", "0.0001 s"})
    void whatIsNoPaceIsNone(String typed) {
        assertThat(Pace.parse(typed)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "0.01 s, A step of a chase lasts 0.02 to 600 s",
        "601 s tapped, A step of a chase lasts 0.02 to 600 s",
        "0.2 beats, A step lasts 1/4 to 64 beats",
        "1/5 beat, A step lasts 1/4 to 64 beats",
        "65 beats, A step lasts 1/4 to 64 beats",
        "99/1 beats, A step lasts 1/4 to 64 beats"
    })
    void whatIsTooShortOrTooLongIsRefused(String typed, String why) {
        assertThatIllegalArgumentException().isThrownBy(() -> Pace.parse(typed)).withMessageContaining(why);
    }
}
