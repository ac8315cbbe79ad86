package embrack.core.way;

import embrack.core.midi.FrameRate;
import embrack.core.midi.Wire;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What runs on one 5-pin cable all the time, and what that leaves for the press of a switch.
 *
 * @param clockBpm beats a minute of the clock, 1 to 999; empty without a clock
 * @param timeCode frames of the time code; empty without one
 * @param treadle whether a treadle sweeps as fast as the wire takes it
 */
public record WireLoad(Optional<Integer> clockBpm, Optional<FrameRate> timeCode, boolean treadle) {

    /** Clocks in a quarter note. Source: MIDI 1.0 Detailed Specification, "Timing Clock". */
    public static final int CLOCKS_PER_BEAT = 24;

    /**
     * Quarter frames in a frame of time code, each of two bytes. Source: MIDI 1.0 Detailed Specification, "MIDI Time
     * Code".
     */
    public static final int QUARTER_FRAMES = 4;

    /** Control changes in a sweep from heel to toe, 0 to 127. */
    public static final int SWEEP = 128;

    public WireLoad {
        clockBpm.filter(bpm -> bpm < 1 || bpm > 999).ifPresent(bpm -> {
            throw new IllegalArgumentException("A tempo is 1 to 999 beats a minute, was %d.".formatted(bpm));
        });
    }

    /** Bytes a second that a 5-pin cable takes: 3125. */
    public static double capacity() {
        return (double) Wire.BAUD / Wire.BITS_PER_BYTE;
    }

    /** Bytes a second of clock and time code; a treadle takes what is left. */
    public double bytesPerSecond() {
        return clockBpm.map(bpm -> bpm * CLOCKS_PER_BEAT / 60.0).orElse(0.0)
                + timeCode.map(rate -> rate.framesPerSecond() * QUARTER_FRAMES * 2)
                        .orElse(0.0);
    }

    /** Part of the wire that is used, in percent: 100 while a treadle sweeps. */
    public double percent() {
        return treadle ? 100 : steadyPercent();
    }

    /** As {@link #percent}, without the treadle. */
    public double steadyPercent() {
        return bytesPerSecond() * 100 / capacity();
    }

    /**
     * What a switch press waits at worst before its first byte, in microseconds: one message of each that runs is on
     * the wire or goes first.
     */
    public long pressDelayMicros() {
        int bytes = (clockBpm.isPresent() ? 1 : 0) + (timeCode.isPresent() ? 2 : 0) + (treadle ? 3 : 0);
        return Wire.micros(bytes);
    }

    /** How long a sweep takes beside clock and time code, in microseconds. */
    public long sweepMicros(Wire.RunningStatus runningStatus) {
        int bytes = runningStatus == Wire.RunningStatus.USED ? 1 + 2 * SWEEP : 3 * SWEEP;
        return Math.round(Wire.micros(bytes) / (1 - steadyPercent() / 100));
    }

    /** In words, piece by piece: "clock at 120 bpm: 48 bytes a second". */
    public List<String> words() {
        return Stream.of(
                        clockBpm.map(bpm -> "clock at %d bpm: %s bytes a second"
                                .formatted(bpm, trimmed(bpm * CLOCKS_PER_BEAT / 60.0))),
                        timeCode.map(rate -> "time code at %s frames a second: %s bytes a second"
                                .formatted(rate.words(), trimmed(rate.framesPerSecond() * 8))),
                        treadle
                                ? Optional.of("expression sweep: all that is left, %d control changes in %s ms"
                                        .formatted(SWEEP, trimmed(sweepMicros(Wire.RunningStatus.NOT_USED) / 1000.0)))
                                : Optional.<String>empty())
                .flatMap(Optional::stream)
                .toList();
    }

    private static String trimmed(double value) {
        return String.format(Locale.ROOT, "%.1f", value).replaceFirst("\\.0$", "");
    }
}
