package embrack.core.light;

import embrack.core.chart.PartId;
import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Optional;

/**
 * Looks that follow one another, round and round.
 *
 * @param steps the looks, 2 to 200; one may come more than once
 * @param stepMillis how long each is shown, 20 to 600 000 ms
 * @param at where a desk holds it; empty until one does
 */
public record Chase(ChaseId id, TapeLabel name, List<LookId> steps, int stepMillis, Optional<At> at) {

    /** The most steps. */
    public static final int MAX_STEPS = 200;

    /** The shortest and the longest step, ms. */
    public static final int SHORTEST = 20;

    public static final int LONGEST = 600_000;

    public Chase {
        steps = List.copyOf(steps);
        if (steps.size() < 2 || steps.size() > MAX_STEPS) {
            throw new IllegalArgumentException("A chase has 2 to %d looks that follow one another; this one has %d."
                    .formatted(MAX_STEPS, steps.size()));
        }
        if (stepMillis < SHORTEST || stepMillis > LONGEST) {
            throw new IllegalArgumentException(
                    "A step of a chase lasts 0.02 to 600 s, not %s s.".formatted(stepMillis / 1000.0));
        }
    }

    /** A chase of a desk. */
    public record At(DeviceId desk, PartId part) {}

    /** The look of one of its steps, counted from 0 and on over its rounds. */
    public Optional<Look> look(Lights lights, long step) {
        return lights.look(steps.get((int) (step % steps.size())));
    }

    /** The step that is shown so many microseconds after it began, counted from 0 and on over its rounds. */
    public long stepAt(long micros) {
        return Math.max(0, micros) / (stepMillis * 1_000L);
    }

    /** How long it takes to come round, in microseconds. */
    public long roundMicros() {
        return steps.size() * stepMillis * 1_000L;
    }

    /**
     * How it goes beside music: it is that much later, or earlier below 0, when it has come round, than the bar line
     * that is nearest.
     *
     * @param bars how many bars that is, 1 or more
     * @param micros microseconds
     */
    public record Drift(long bars, long micros) {}

    /** How it goes beside bars of such a length, in microseconds. */
    public Drift beside(long barMicros) {
        long bars = Math.max(1, Math.round(roundMicros() / (double) barMicros));
        return new Drift(bars, roundMicros() - bars * barMicros);
    }

    public Chase withSteps(List<LookId> others) {
        return new Chase(id, name, others, stepMillis, at);
    }

    public Chase heldAt(Optional<At> other) {
        return new Chase(id, name, steps, stepMillis, other);
    }
}
