package embrack.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import embrack.core.level.Nominal;
import embrack.core.level.Scale;
import embrack.core.light.Address;
import embrack.core.music.Clock;
import embrack.core.music.Metre;
import embrack.core.music.Tempo;
import embrack.core.rig.Length;
import embrack.core.rig.Send;
import embrack.core.show.Day;
import embrack.core.show.TimeOfDay;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What is written of measures, places and times is read again as the same, and as the JDK reads it where it can. */
class WrittenTests {

    private static final String MINUS = "\u2212";

    @Property(tries = 500)
    void levelsOfSocketsAreReadAgain(
            @ForAll @IntRange(min = -1_000, max = 400) int one,
            @ForAll @IntRange(min = -1_000, max = 400) int other,
            @ForAll boolean inVolts) {
        Nominal.Unit unit = inVolts ? Nominal.Unit.DBV : Nominal.Unit.DBU;
        Nominal level = new Nominal(Math.min(one, other) / 10.0, Math.max(one, other) / 10.0, unit);
        assertThat(Nominal.parse(level.text())).isEqualTo(level);
        assertThat(level.highDbu() - level.lowDbu()).isCloseTo(Math.abs(one - other) / 10.0, within(1e-9));
        assertThat(level.words()).doesNotContain("-").endsWith(unit.words());
    }

    /** Nothing below nothing is nothing: what is typed with a minus is kept and read again as what it is. */
    @ParameterizedTest
    @CsvSource({"-0 dBu, 0 dBu", "+0 dBV, 0 dBV", "-0.0..+0.0 dBu, 0 dBu", "-60..-0 dBu, -60..0 dBu"})
    void aLevelOfNothingHasNoSign(String typed, String text) {
        Nominal level = Nominal.parse(typed);
        assertThat(level.text()).isEqualTo(text);
        assertThat(Nominal.parse(text)).isEqualTo(level).hasSameHashCodeAs(level);
    }

    @Property(tries = 300)
    void scalesAreReadAgainAndGoUp(
            @ForAll @IntRange(min = -9_999, max = 9_999) int bottom,
            @ForAll @IntRange(min = 1, max = 9_999) int way,
            @ForAll @IntRange(max = 2) int sort) {
        String unit = List.of("", "%", "dB").get(sort);
        Scale scale = new Scale(false, bottom, bottom + way, unit);
        assertThat(Scale.parse(scale.text())).isEqualTo(scale);
        int last = -1;
        for (int value = 0; value <= 127; value++) {
            int again = scale.value(scale.shown(value));
            assertThat(scale.shown(again)).isEqualTo(scale.shown(value));
            assertThat(again).isGreaterThanOrEqualTo(last);
            last = again;
        }
    }

    @Property(tries = 300)
    void sendsAndLengthsAreReadAgain(
            @ForAll @IntRange(min = -800, max = 200) int tenths, @ForAll @IntRange(min = 10, max = 20_000) int cm) {
        Send send = new Send(true, tenths);
        assertThat(Send.parse(send.words())).isEqualTo(send);
        assertThat(Send.parse(send.words().replace(MINUS, "-").replace('.', ',') + " dB"))
                .isEqualTo(send);
        Length length = new Length(cm);
        assertThat(Length.parse(length.words())).isEqualTo(length);
        assertThat(Double.parseDouble(length.words().replace(" m", ""))).isCloseTo(cm / 100.0, within(1e-9));
    }

    /** The switches of a fixture are the digits of its address to the base of two, the last one first. */
    @Property(tries = 300)
    void addressesAreReadAgainAndSetBySwitches(
            @ForAll @IntRange(min = 1, max = 63_999) int universe, @ForAll @IntRange(min = 1, max = 512) int start) {
        Address address = new Address(universe, start);
        assertThat(Address.parse(address.toString())).isEqualTo(address);
        String digits =
                new StringBuilder(Integer.toBinaryString(start % 512)).reverse().toString();
        assertThat(address.dipSwitches())
                .isEqualTo(IntStream.rangeClosed(1, digits.length())
                        .filter(n -> digits.charAt(n - 1) == '1')
                        .boxed()
                        .toList());
        assertThat(address.plus(512 - start)).contains(new Address(universe, 512));
        assertThat(address.plus(513 - start)).isEmpty();
    }

    /** As java.time counts them, which goes by the calendar of ISO 8601. */
    @Property(tries = 1_000)
    void daysAreThoseOfTheCalendar(
            @ForAll @IntRange(min = 1900, max = 2200) int year,
            @ForAll @IntRange(max = 13) int month,
            @ForAll @IntRange(max = 32) int day) {
        String typed = "%04d-%02d-%02d".formatted(year, month, day);
        LocalDate known;
        try {
            known = LocalDate.of(year, month, day);
        } catch (DateTimeException none) {
            assertThatIllegalArgumentException()
                    .isThrownBy(() -> Day.parse(typed))
                    .withMessage("There is no day %s.".formatted(typed));
            return;
        }
        Day read = Day.parse(typed);
        assertThat(read).hasToString(known.toString());
        LocalDate next = known.plusDays(1);
        if (next.getYear() <= 2200) {
            assertThat(Day.parse(next.toString())).isGreaterThan(read);
        }
    }

    @Property(tries = 500)
    void timesOfDayGoRoundAtMidnight(
            @ForAll @IntRange(max = 1_439) int minutes, @ForAll @IntRange(min = -200_000, max = 200_000) int seconds) {
        TimeOfDay time = new TimeOfDay(minutes);
        LocalTime known = LocalTime.ofSecondOfDay(minutes * 60L);
        assertThat(TimeOfDay.parse(time.toString())).isEqualTo(time);
        assertThat(TimeOfDay.parse(known.toString())).isEqualTo(time);
        LocalTime later = known.plusSeconds(seconds);
        assertThat(time.after(seconds * 1_000_000L))
                .isEqualTo("%d:%02d:%02d".formatted(later.getHour(), later.getMinute(), later.getSecond()));
    }

    /** Times of songs as Duration takes them apart. */
    @Property(tries = 500)
    void timesOfSongsAreReadAgain(@ForAll @LongRange(min = 0, max = 59_999_000_000L) long micros) {
        Duration known = Duration.ofNanos(micros * 1_000);
        assertThat(Clock.parse(Clock.exact(micros))).isEqualTo(micros);
        assertThat(Clock.parse(Clock.text(micros))).isCloseTo(micros, within(500L));
        assertThat(Clock.exact(micros))
                .startsWith("%d:%02d.%03d".formatted(known.toMinutes(), known.toSecondsPart(), known.toMillisPart()));
        assertThat(Clock.parse(Clock.brief(micros))).isCloseTo(micros, within(500_000L));
        assertThat(Clock.text(-micros).replace("-", "")).isEqualTo(Clock.text(micros));
    }

    @Property(tries = 300)
    void metresAndTemposAreReadAgain(
            @ForAll @IntRange(min = 1, max = 32) int beats,
            @ForAll @IntRange(min = 1, max = 4) int power,
            @ForAll @IntRange(min = 20_000, max = 400_000) int thousandths) {
        Metre metre = new Metre(beats, 1 << power);
        assertThat(Metre.parse(metre.toString())).isEqualTo(metre);
        assertThat(metre.ticksPerBar()).isEqualTo(4 * 960 * beats / (1 << power));
        Tempo tempo = new Tempo(thousandths);
        assertThat(Tempo.parse(tempo.toString())).isEqualTo(tempo);
        assertThat(tempo.microsPerQuarter()).isCloseTo(60e9 / thousandths, within(1.0));
    }

    static List<Function<String, ?>> readers() {
        return List.of(
                Nominal::parse,
                Scale::parse,
                Send::parse,
                Length::parse,
                Address::parse,
                Day::parse,
                TimeOfDay::parse,
                Clock::parse,
                Metre::parse,
                Tempo::parse);
    }

    /** Whatever else is typed is refused in a sentence, never by a fault. */
    @ParameterizedTest
    @MethodSource("readers")
    void nonsenseIsRefusedInWords(Function<String, ?> reader) {
        for (String typed : List.of(
                "x",
                "12 parsecs",
                "--",
                "1e9",
                "1e2",
                "1e999999999",
                "-1E+999999999",
                "9".repeat(40),
                "\u0663",
                "0x10",
                "NaN",
                "1..2..3",
                "\uD83D\uDE00",
                "/")) {
            assertThatIllegalArgumentException()
                    .as(typed)
                    .isThrownBy(() -> reader.apply(typed))
                    .satisfies(refused -> assertThat(refused.getMessage()).hasSizeGreaterThan(10));
        }
    }

    @Test
    void whatIsTooMuchIsRefused() {
        assertThatIllegalArgumentException().isThrownBy(() -> new Nominal(4, -10, Nominal.Unit.DBU));
        assertThatIllegalArgumentException().isThrownBy(() -> new Scale(false, 5, 5, ""));
        assertThatIllegalArgumentException().isThrownBy(() -> new Send(true, 201));
        assertThatIllegalArgumentException().isThrownBy(() -> new Length(9));
        assertThatIllegalArgumentException().isThrownBy(() -> new Address(1, 513));
        assertThatIllegalArgumentException().isThrownBy(() -> new TimeOfDay(1_440));
        assertThatIllegalArgumentException().isThrownBy(() -> new Metre(4, 3));
    }
}
