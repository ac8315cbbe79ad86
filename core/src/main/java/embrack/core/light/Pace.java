package embrack.core.light;

import embrack.core.music.Position;
import embrack.core.music.Tempo;
import embrack.core.music.TempoMap;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a chase goes on by. */
public sealed interface Pace {

    /** The shortest and the longest step, ms. */
    int SHORTEST = 20;

    int LONGEST = 600_000;

    /** A step of each of these, ms, is what is shown where nobody can know it: two beats a second. */
    int ANY_MILLIS = 500;

    /** The tempo where no music says another. */
    Tempo ANY_TEMPO = new Tempo(120_000);

    /** A number or a knob of the desk: each step lasts so long, in ms. */
    record Timed(int millis) implements Pace {
        public Timed {
            requireTime(millis);
        }

        @Override
        public String words() {
            return seconds(millis) + " s";
        }
    }

    /** Tapped by hand, so that a step lasts about so long, in ms. */
    record Tapped(int millis) implements Pace {
        public Tapped {
            requireTime(millis);
        }

        @Override
        public String words() {
            return seconds(millis) + " s tapped";
        }
    }

    /** It hears the room: nobody knows when it goes on. */
    record BySound() implements Pace {
        @Override
        public String words() {
            return "by sound";
        }
    }

    /** A clock that it is sent: so many ticks of the beat a step, {@link Position#TICKS_PER_QUARTER} to the quarter. */
    record OnBeat(int ticks) implements Pace {

        /** A sixteenth to sixteen bars of four quarters. */
        private static final int SHORTEST_TICKS = Position.TICKS_PER_QUARTER / 4;

        private static final int LONGEST_TICKS = 64 * Position.TICKS_PER_QUARTER;

        private static final int DECIMALS = 4;
        private static final int MOST_IN_A_FRACTION = 99;

        public OnBeat {
            if (ticks < SHORTEST_TICKS || ticks > LONGEST_TICKS) {
                throw new IllegalArgumentException("A step lasts 1/4 to 64 beats.");
            }
        }

        @Override
        public String words() {
            String count = count();
            return count + (count.equals("1") || count.startsWith("1/") ? " beat" : " beats");
        }

        /** Whole, a part of a beat, decimals or a fraction: whatever is exact; else so many decimals as tell it. */
        private String count() {
            int quarter = Position.TICKS_PER_QUARTER;
            int divisor =
                    BigInteger.valueOf(ticks).gcd(BigInteger.valueOf(quarter)).intValueExact();
            int over = ticks / divisor;
            int under = quarter / divisor;
            BigDecimal decimals =
                    BigDecimal.valueOf(ticks).divide(BigDecimal.valueOf(quarter), DECIMALS, RoundingMode.HALF_UP);
            boolean isExact = decimals.multiply(BigDecimal.valueOf(quarter)).compareTo(BigDecimal.valueOf(ticks)) == 0;
            boolean isFraction = over == 1 || !isExact;
            return under > 1 && isFraction && over <= MOST_IN_A_FRACTION && under <= MOST_IN_A_FRACTION
                    ? over + "/" + under
                    : decimals.stripTrailingZeros().toPlainString();
        }
    }

    /** As people write it, and as {@link #parse} reads it: "0.75 s", "0.75 s tapped", "1/2 beat", "by sound". */
    String words();

    /** How long a step lasts at a tempo, microseconds; where nobody knows, half a second. */
    default long micros(Tempo tempo) {
        return switch (this) {
            case Timed timed -> timed.millis * 1_000L;
            case Tapped tapped -> tapped.millis * 1_000L;
            case BySound sound -> ANY_MILLIS * 1_000L;
            case OnBeat beat -> Math.round(beat.ticks / (double) Position.TICKS_PER_QUARTER * tempo.microsPerQuarter());
        };
    }

    /** When the steps begin of a chase that was begun at a time, in microseconds from bar 1 of a song. */
    default Stepping began(long micros, TempoMap song) {
        return this instanceof OnBeat beat ? new Stepping.OfSong(song, micros, beat.ticks) : began(micros, ANY_TEMPO);
    }

    /** When the steps begin of a chase that was begun at a time, microseconds, at a tempo. */
    default Stepping began(long micros, Tempo tempo) {
        return new Stepping.Steady(micros, micros(tempo));
    }

    /** Reads what {@link #words} writes; seconds may stand alone. */
    static Optional<Pace> parse(String typed) {
        String said = typed.strip().toLowerCase(Locale.ROOT).replace(',', '.');
        if (said.equals("by sound") || said.equals("sound")) {
            return Optional.of(new BySound());
        }
        Matcher beats = Written.BEATS.matcher(said);
        if (beats.matches()) {
            double count = beats.group(2) == null
                    ? Double.parseDouble(beats.group(1))
                    : Double.parseDouble(beats.group(1)) / Math.max(1, Integer.parseInt(beats.group(2)));
            return Optional.of(new OnBeat((int) Math.round(Math.min(1_000, count) * Position.TICKS_PER_QUARTER)));
        }
        Matcher time = Written.TIME.matcher(said);
        if (!time.matches()) {
            return Optional.empty();
        }
        int millis = new BigDecimal(time.group(1)).movePointRight(3).intValueExact();
        return Optional.of(time.group(2) == null ? new Timed(millis) : new Tapped(millis));
    }

    private static String seconds(int millis) {
        return BigDecimal.valueOf(millis, 3).stripTrailingZeros().toPlainString();
    }

    private static void requireTime(int millis) {
        if (millis < SHORTEST || millis > LONGEST) {
            throw new IllegalArgumentException(
                    "A step of a chase lasts 0.02 to 600 s, not %s s.".formatted(seconds(millis)));
        }
    }

    /** How paces are written. */
    final class Written {
        private static final Pattern TIME = Pattern.compile("(\\d{1,3}(?:\\.\\d{1,3})?)(?:\\s*s)?(\\s*tapped)?");
        private static final Pattern BEATS = Pattern.compile("(\\d{1,2}(?:\\.\\d{1,4})?)(?:/(\\d{1,2}))?\\s*beats?");

        private Written() {}
    }
}
