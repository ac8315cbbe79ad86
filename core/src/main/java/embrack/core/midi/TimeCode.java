package embrack.core.midi;

import embrack.core.midi.SystemMessage.QuarterFrame;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A moment in time code. At 29.97 drop the numbers 00 and 01 of each minute are left out, except in every tenth, so
 * that the count keeps up with the clock: ten minutes are 17 982 frames.
 *
 * <p>Source: SMPTE ST 12-1 (formerly 12M) for drop-frame counting; MIDI Time Code (MMA/AMEI RP-004/008) for the
 * messages.
 *
 * @param hours 0 to 23
 * @param minutes 0 to 59
 * @param seconds 0 to 59
 * @param frames 0 to one less than the rate counts
 */
public record TimeCode(FrameRate rate, int hours, int minutes, int seconds, int frames) {

    private static final int DROPPED = 2;
    private static final int DROP_MINUTE = 60 * 30 - DROPPED;
    private static final int DROP_TEN_MINUTES = 10 * DROP_MINUTE + DROPPED;

    public TimeCode {
        if (hours < 0
                || hours > 23
                || minutes < 0
                || minutes > 59
                || seconds < 0
                || seconds > 59
                || frames < 0
                || frames >= rate.counted()) {
            throw new IllegalArgumentException("time code at %s runs to 23:59:59:%d, was %02d:%02d:%02d:%02d"
                    .formatted(rate.words(), rate.counted() - 1, hours, minutes, seconds, frames));
        }
        if (isDropped(rate, minutes, seconds, frames)) {
            throw new IllegalArgumentException(
                    "%02d:%02d:00;%02d does not exist at 29.97 drop: the first two numbers of this minute are left out"
                            .formatted(hours, minutes, frames));
        }
    }

    /**
     * The moment that so many frames lie after 00:00:00:00.
     *
     * @param count 0 up to a day
     */
    public static TimeCode ofFrames(FrameRate rate, long count) {
        long number = rate == FrameRate.FPS_29_97_DROP ? withDropped(count) : count;
        int fps = rate.counted();
        return new TimeCode(
                rate, (int) (number / fps / 3600), (int) (number / fps / 60 % 60), (int) (number / fps % 60), (int)
                        (number % fps));
    }

    /** How many frames lie between 00:00:00:00 and this moment. */
    public long toFrames() {
        long minute = hours * 60L + minutes;
        long number = (minute * 60 + seconds) * rate.counted() + frames;
        return rate == FrameRate.FPS_29_97_DROP ? number - DROPPED * (minute - minute / 10) : number;
    }

    /** The eight quarter frames that tell this moment, in the order of sending; they take two frames. */
    public List<Message> quarterFrames() {
        int[] pieces = {
            frames & 0xF,
            frames >> 4,
            seconds & 0xF,
            seconds >> 4,
            minutes & 0xF,
            minutes >> 4,
            hours & 0xF,
            rate.bits() << 1 | hours >> 4
        };
        return IntStream.range(0, 8)
                .<Message>mapToObj(i -> new QuarterFrame(i, pieces[i]))
                .toList();
    }

    /** The moment that eight quarter frames tell; empty when they are not pieces 0 to 7 in order, or tell none. */
    public static Optional<TimeCode> ofQuarterFrames(List<? extends Message> eight) {
        int[] nibbles = new int[8];
        if (eight.size() != 8) {
            return Optional.empty();
        }
        for (int i = 0; i < 8; i++) {
            if (!(eight.get(i) instanceof QuarterFrame quarter) || quarter.piece() != i) {
                return Optional.empty();
            }
            nibbles[i] = quarter.nibble();
        }
        return of(
                nibbles[7] << 4 | nibbles[6],
                nibbles[5] << 4 | nibbles[4],
                nibbles[3] << 4 | nibbles[2],
                nibbles[1] << 4 | nibbles[0]);
    }

    /** The full frame message, which tells a moment at once: F0 7F 7F 01 01 hh mm ss ff F7. */
    public SystemExclusive fullFrame() {
        return SystemExclusive.of(SystemExclusive.REAL_TIME, 0x7F, 0x01, 0x01, hourByte(), minutes, seconds, frames);
    }

    /** The moment of a full frame message; empty when it is something else. */
    public static Optional<TimeCode> ofFullFrame(SystemExclusive message) {
        return message.length() == 10
                        && message.at(0) == SystemExclusive.REAL_TIME
                        && message.at(2) == 1
                        && message.at(3) == 1
                ? of(message.at(4), message.at(5), message.at(6), message.at(7))
                : Optional.empty();
    }

    /** Hours with the rate in their upper bits: 0yyzzzzz. */
    int hourByte() {
        return rate.bits() << 5 | hours;
    }

    /** The moment of four bytes, the first as {@link #hourByte}; empty when they tell none. */
    static Optional<TimeCode> of(int hourByte, int minutes, int seconds, int frames) {
        try {
            return Optional.of(
                    new TimeCode(FrameRate.ofBits(hourByte >> 5), hourByte & 0x1F, minutes, seconds, frames));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** As it is written: colons, and a semicolon before the frames where numbers are dropped. */
    @Override
    public String toString() {
        return "%02d:%02d:%02d%s%02d"
                .formatted(hours, minutes, seconds, rate == FrameRate.FPS_29_97_DROP ? ";" : ":", frames);
    }

    private static boolean isDropped(FrameRate rate, int minutes, int seconds, int frames) {
        return rate == FrameRate.FPS_29_97_DROP && minutes % 10 != 0 && seconds == 0 && frames < DROPPED;
    }

    private static long withDropped(long count) {
        long tens = count / DROP_TEN_MINUTES;
        long rest = count % DROP_TEN_MINUTES;
        long minutes = rest < DROPPED ? 0 : (rest - DROPPED) / DROP_MINUTE;
        return count + DROPPED * (9 * tens + minutes);
    }
}
