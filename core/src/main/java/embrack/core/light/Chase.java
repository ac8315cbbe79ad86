package embrack.core.light;

import embrack.core.chart.PartId;
import embrack.core.music.Tempo;
import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Optional;

/**
 * Looks that follow one another, round and round.
 *
 * @param steps the looks, 2 to 200; one may come more than once
 * @param pace how long each is shown
 * @param at where a desk holds it; empty until one does
 */
public record Chase(ChaseId id, TapeLabel name, List<LookId> steps, Pace pace, Optional<At> at) {

    /** The most steps. */
    public static final int MAX_STEPS = 200;

    public Chase {
        steps = List.copyOf(steps);
        if (steps.size() < 2 || steps.size() > MAX_STEPS) {
            throw new IllegalArgumentException("A chase has 2 to %d looks that follow one another; this one has %d."
                    .formatted(MAX_STEPS, steps.size()));
        }
    }

    /** A chase of a desk. */
    public record At(DeviceId desk, PartId part) {}

    /** The look of one of its steps, counted from 0 and on over its rounds. */
    public Optional<Look> look(Lights lights, long step) {
        return lights.look(steps.get((int) (step % steps.size())));
    }

    /** How long it takes to come round at a tempo, in microseconds. */
    public long roundMicros(Tempo tempo) {
        return steps.size() * pace.micros(tempo);
    }

    /**
     * How it goes beside music: it is that much later, or earlier below 0, when it has come round, than the bar line
     * that is nearest.
     *
     * @param bars how many bars that is, 1 or more
     * @param micros microseconds
     */
    public record Drift(long bars, long micros) {}

    /** How it goes beside bars of such a length, in microseconds, at a tempo. */
    public Drift beside(long barMicros, Tempo tempo) {
        long round = roundMicros(tempo);
        long bars = Math.max(1, Math.round(round / (double) barMicros));
        return new Drift(bars, round - bars * barMicros);
    }

    public Chase withSteps(List<LookId> others) {
        return new Chase(id, name, others, pace, at);
    }

    public Chase withPace(Pace other) {
        return new Chase(id, name, steps, other, at);
    }

    public Chase heldAt(Optional<At> other) {
        return new Chase(id, name, steps, pace, other);
    }
}
