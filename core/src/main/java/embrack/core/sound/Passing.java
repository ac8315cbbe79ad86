package embrack.core.sound;

import embrack.core.chart.Aspect;
import embrack.core.gear.Gate;
import embrack.core.level.Gain;
import embrack.core.level.Law;
import embrack.core.level.Scale;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.OptionalInt;

/** How much of a sound passes what is in its way. */
final class Passing {

    /** What a level without decibels and percent is straight against: 100 of 0 to 200 lets through as it came. */
    private static final double STRAIGHT = 100;

    private Passing() {}

    /** The gain of a strand while everything is open, below 0 where it is inverted, 0 where nothing passes. */
    static double open(Strand strand) {
        double factor = Gain.decibels(strand.decibels()).factor();
        return strand.inverted() ? -factor : factor;
    }

    /**
     * The gain of a strand while everything stands so.
     *
     * @param open its gain while everything is open
     */
    static double factor(Rig rig, Strand strand, Stand stand, double open) {
        double factor = open;
        for (Gate gate : strand.gates()) {
            OptionalInt value = stand.of(strand.from().device(), gate);
            if (value.isPresent() && factor != 0) {
                factor *= gain(rig, strand.from().device(), gate, value.getAsInt())
                        .factor();
            }
        }
        return factor;
    }

    private static Gain gain(Rig rig, DeviceId device, Gate gate, int value) {
        return switch (gate.aspect()) {
            case MUTED -> value == 0 ? Gain.UNITY : Gain.NONE;
            case LEVEL -> level(rig, device, gate, value);
            default -> value == 1 ? Gain.UNITY : Gain.NONE;
        };
    }

    /** A level as its chart counts it; without a scale as volume is counted, with its top at 0 dB. */
    private static Gain level(Rig rig, DeviceId device, Gate gate, int value) {
        return rig.chart(device)
                .scale(gate.part())
                .map(scale -> scaled(scale, value))
                .orElseGet(() -> Gain.decibels(Law.DECIBELS.decibels(value, 0)));
    }

    private static Gain scaled(Scale scale, int value) {
        if (scale.fromSilence()) {
            return Gain.decibels(Law.DECIBELS.decibels(value, scale.top()));
        }
        double shown = scale.bottom() + value * (double) (scale.top() - scale.bottom()) / (Aspect.LEVEL.size() - 1);
        return scale.law().isInDecibels() ? Gain.decibels(shown) : Gain.ratio(Math.max(0, shown), STRAIGHT);
    }
}
