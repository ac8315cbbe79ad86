package embrack.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TempoMapTests {

    private static TempoMap steady(String metre, String tempo) {
        return new TempoMap(
                List.of(new MetreChange(1, Metre.parse(metre))),
                List.of(new TempoChange(Position.START, Tempo.parse(tempo))));
    }

    /** Arithmetic: 60 000 over the tempo, times the note in quarters; a second over that. */
    @ParameterizedTest
    @CsvSource({
        "84, QUARTER, 714.3 ms, 1.40 Hz",
        "84, DOTTED_EIGHTH, 535.7 ms, 1.87 Hz",
        "120, QUARTER, 500.0 ms, 2.00 Hz",
        "120, EIGHTH_TRIPLET, 166.7 ms, 6.00 Hz",
        "92.5, DOTTED_QUARTER, 973.0 ms, 1.03 Hz",
        "98, SIXTEENTH, 153.1 ms, 6.53 Hz"
    })
    void echoesLastAsLongAsNotes(String tempo, NoteLength note, String millis, String hertz) {
        assertThat(List.of(note.shownMillis(Tempo.parse(tempo)), note.shownHertz(Tempo.parse(tempo))))
                .containsExactly(millis, hertz);
    }

    /** Arithmetic: beats times 60 over the tempo, the tempo in quarters. */
    @ParameterizedTest
    @CsvSource({
        "4/4, 96, 3, 0:05.000",
        "4/4, 120, 17, 0:32.000",
        "7/8, 140, 2, 0:01.500",
        "3/4, 90, 11, 0:20.000",
        "6/8, 60, 2, 0:03.000",
        "4/4, 92.5, 2, 0:02.595",
        "2/2, 120, 2, 0:02.000"
    })
    void aBarStartsWhenItsBeatsSay(String metre, String tempo, int bar, String clock) {
        assertThat(Clock.text(steady(metre, tempo).micros(Position.bar(bar)))).isEqualTo(clock);
    }

    /** The integral of 60 / tempo over the beats: 60 * 32 / 30 * ln(120 / 90) s; the mean tempo would give 18.286 s. */
    @Test
    void aGlideTakesItsIntegralAndNotTheMeanTempo() {
        TempoMap tempoMap = new TempoMap(
                List.of(),
                List.of(
                        new TempoChange(Position.START, Tempo.parse("90"), true),
                        new TempoChange(Position.bar(9), Tempo.parse("120"))));
        assertThat(Clock.text(tempoMap.micros(Position.bar(9)))).isEqualTo("0:18.412");
        assertThat(tempoMap.exactMicros(8 * 3840)).isCloseTo(64e6 * Math.log(4.0 / 3), within(0.001));
        assertThat(List.of(
                        tempoMap.tempo(0),
                        tempoMap.tempo(4 * 3840),
                        tempoMap.tempo(8 * 3840),
                        tempoMap.tempo(20 * 3840)))
                .extracting(Tempo::toString)
                .containsExactly("90", "105", "120", "120");
    }

    /** The same glide summed over a million pieces: numerical integration as an independent way to the number. */
    @Test
    void aGlideAgreesWithItsSum() {
        double sum = 0;
        for (int i = 0; i < 1_000_000; i++) {
            sum += 60e6 / (76 + 16 * (i + 0.5) / 1e6) * 32 / 1e6;
        }
        TempoMap tempoMap = new TempoMap(
                List.of(),
                List.of(
                        new TempoChange(Position.START, Tempo.parse("76"), true),
                        new TempoChange(Position.bar(9), Tempo.parse("92"))));
        assertThat(tempoMap.exactMicros(8 * 3840)).isCloseTo(sum, within(1.0));
    }

    @Test
    void anotherTempoScalesEveryTime() {
        TempoMap slow = steady("4/4", "84");
        TempoMap fast = slow.atTempoTimes(98.0 / 84);
        assertThat(fast.micros(Position.bar(17)) / (double) slow.micros(Position.bar(17)))
                .isCloseTo(0.857, within(0.0005));
    }

    @ParameterizedTest
    @CsvSource({
        "D, C, −2",
        "F, E, −1",
        "C, F♯, −6 or +6",
        "C, F#, −6 or +6",
        "A, C, +3",
        "Bb, B, +1",
        "Em, Gm, +3",
        "G, G, 0",
        "C, G, −5",
        "C, F, +5"
    })
    void keysAreAsFarApartAsTheShorterWay(String from, String to, String semitones) {
        assertThat(Key.words(Key.parse(from).semitonesTo(Key.parse(to)))).isEqualTo(semitones);
    }

    /**
     * Equal temperament: a semitone is the twelfth root of 2; A to C is 440 to 523.25 Hz (ISO 16 and the usual tables).
     */
    @Test
    void semitonesAreFrequencies() {
        assertThat(440 * Key.ratio(3)).isCloseTo(523.25, within(0.005));
        assertThat(440 * Key.ratio(-12)).isCloseTo(220, within(1e-9));
    }

    /** By the scales: D and A are both in G major; C sharp is in neither G nor C. */
    @Test
    void aDroneFitsWhereItsRootAndFifthAreInBothScales() {
        assertThat(Key.dronesUnder(Key.parse("D"), Key.parse("G")))
                .extracting(Key::toString)
                .startsWith("G", "D")
                .contains("A");
        assertThat(Key.parse("G").holdsDrone(Key.parse("C#"))).isFalse();
        assertThat(Key.dronesUnder(Key.parse("C"), Key.parse("F#"))).isEmpty();
        assertThat(Key.parse("Am").holdsDrone(Key.parse("C"))).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "6527000, 960, 6500000, −27 ms",
        "6527000, 480, 6500000, −27 ms",
        "6380000, 960, 6500000, +120 ms",
        "6240000, 960, 6000000, −240 ms",
        "7999000, 3840, 8000000, +1 ms"
    })
    void aCapturedTimeSnapsToTheNearest(long micros, int grid, long snapped, String shift) {
        TempoMap tempoMap = steady("4/4", "120");
        long there = tempoMap.micros(tempoMap.snap(micros, grid));
        assertThat(there).isEqualTo(snapped);
        assertThat(Clock.shift(there - micros)).isEqualTo(shift);
    }

    /** MIDI 1.0: 320 microseconds a byte; a program change has two bytes, one with running status. */
    @Test
    void tenProgramChangesOnOneCable() {
        List<Message> ten = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            ten.add(new Message.ProgramChange(new Channel(1), i));
        }
        assertThat(Wire.micros(Wire.stream(ten, Wire.RunningStatus.NOT_USED).length))
                .isEqualTo(6_400);
        assertThat(Wire.micros(Wire.stream(ten, Wire.RunningStatus.USED).length))
                .isEqualTo(3_520);
    }

    @ParameterizedTest
    @CsvSource({
        "17, bar 17, 1",
        "17|1, bar 17, 1",
        "bar 17, bar 17, 1",
        "17 3, bar 17 beat 3, 3",
        "17.3, bar 17 beat 3, 3",
        "17 3 1/2, bar 17 beat 3\u00bd, 3 1/2",
        "bar 17 beat 3\u00bd, bar 17 beat 3\u00bd, 3 1/2",
        "BAR 17  beat 3 1/2, bar 17 beat 3\u00bd, 3 1/2",
        "17|3|1/2, bar 17 beat 3\u00bd, 3 1/2",
        "17|3|.25, bar 17 beat 3\u00bc, 3 1/4",
        "17 3.75, bar 17 beat 3\u00be, 3 3/4",
        "2 7, bar 2 beat 7, 7",
        "5 2 2/3, bar 5 beat 2 2/3, 2 2/3"
    })
    void aPositionIsReadAndWritten(String typed, String written, String beat) {
        TempoMap tempoMap = new TempoMap(
                List.of(new MetreChange(1, Metre.parse("7/8")), new MetreChange(4, Metre.parse("4/4"))), List.of());
        assertThat(tempoMap.text(tempoMap.parse(typed))).isEqualTo(written);
        assertThat(tempoMap.beat(tempoMap.parse(typed))).isEqualTo(beat);
        assertThat(tempoMap.parse(written)).isEqualTo(tempoMap.parse(typed));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "0;counted from 1",
                "4|5;it has no beat 5",
                "2|1|3/2;less than 1",
                "barn 3;Write bar and beat, such as 17, 17 3 or 17 3 1/2.",
                "17 1/2;Write bar and beat",
                "1:30;Write bar and beat"
            })
    void aPositionThatIsNoneSaysWhy(String typed, String why) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> steady("4/4", "120").parse(typed))
                .withMessageContaining(why);
    }

    /** Any map: every tick comes back from its time, bars from their ticks, time never runs backwards. */
    @Property(tries = 300)
    void ticksAndTimesGoBothWays(@ForAll @IntRange(max = 1_000_000) int seed) {
        TempoMap tempoMap = RandomTempoMaps.of(new Random(seed));
        double before = -1;
        for (long tick = 0; tick < 100_000; tick += 331) {
            double micros = tempoMap.exactMicros(tick);
            assertThat(micros).isGreaterThan(before);
            assertThat(tempoMap.tickAt(Math.round(micros))).isEqualTo(tick);
            assertThat(tempoMap.tick(tempoMap.position(tick))).isEqualTo(tick);
            assertThat(tempoMap.tick(tempoMap.parse(tempoMap.text(tempoMap.position(tick)))))
                    .isEqualTo(tick);
            before = micros;
        }
    }
}
