package embrack.core.line;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A clock as it is heard: 24 ticks to the quarter.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, "Timing Clock".
 *
 * @param ticks when the last ones came, in microseconds, at most {@link #MOST}
 */
public record Pulse(List<Long> ticks) {

    public static final Pulse NONE = new Pulse(List.of());

    /** Four quarters and the tick that ends them. */
    public static final int MOST = 97;

    public static final int TICKS_A_QUARTER = 24;

    /** A clock that paused so long has stopped: at 20 quarters a minute a tick comes every 125 ms. */
    private static final long STOPPED_MICROS = 1_000_000;

    private static final int LEAST = 13;
    private static final double MICROS_A_MINUTE = 60e6;

    public Pulse {
        ticks = List.copyOf(ticks);
    }

    /** With one more tick; after a pause it begins anew. */
    public Pulse with(long micros) {
        boolean stopped = ticks.isEmpty() || micros - ticks.getLast() > STOPPED_MICROS || micros < ticks.getLast();
        List<Long> more = new ArrayList<>(stopped ? List.of() : ticks);
        more.add(micros);
        return new Pulse(more.subList(Math.max(0, more.size() - MOST), more.size()));
    }

    /** Whether it still ran at a time. */
    public boolean isRunning(long nowMicros) {
        return !ticks.isEmpty() && nowMicros - ticks.getLast() <= STOPPED_MICROS;
    }

    /** The time from tick to tick, by the straight line that lies nearest to all of them, in microseconds. */
    private OptionalDouble tickMicros() {
        int count = ticks.size();
        if (count < LEAST) {
            return OptionalDouble.empty();
        }
        double middle = (count - 1) / 2.0;
        double mean = ticks.stream()
                .mapToDouble(tick -> tick - ticks.getFirst())
                .average()
                .orElse(0);
        double above = 0;
        double below = 0;
        for (int i = 0; i < count; i++) {
            above += (i - middle) * (ticks.get(i) - ticks.getFirst() - mean);
            below += (i - middle) * (i - middle);
        }
        return OptionalDouble.of(above / below);
    }

    /** Quarters a minute; empty before half a quarter was heard. */
    public OptionalDouble tempo() {
        OptionalDouble tick = tickMicros();
        return tick.isPresent()
                ? OptionalDouble.of(MICROS_A_MINUTE / (TICKS_A_QUARTER * tick.getAsDouble()))
                : OptionalDouble.empty();
    }

    /** How far the tick that is farthest off lies from where an even clock would have it, in microseconds. */
    public double jitterMicros() {
        OptionalDouble tick = tickMicros();
        if (tick.isEmpty()) {
            return 0;
        }
        double mean = ticks.stream()
                .mapToDouble(at -> at - ticks.getFirst())
                .average()
                .orElse(0);
        double worst = 0;
        for (int i = 0; i < ticks.size(); i++) {
            double even = mean + (i - (ticks.size() - 1) / 2.0) * tick.getAsDouble();
            worst = Math.max(worst, Math.abs(ticks.get(i) - ticks.getFirst() - even));
        }
        return worst;
    }
}
