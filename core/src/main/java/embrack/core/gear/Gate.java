package embrack.core.gear;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;

/**
 * What of the box decides whether and how loud sound passes a way through it.
 *
 * @param aspect how that part stands: muted lets nothing through, a level as much as it says, one that is chosen all or
 * nothing
 */
public record Gate(PartId part, Aspect aspect) {

    public Gate {
        if (aspect != Aspect.MUTED && aspect != Aspect.LEVEL && aspect != Aspect.CHOSEN && aspect != Aspect.SWITCHED) {
            throw new IllegalArgumentException(
                    "sound passes by mute, level or what is chosen or switched on, was %s".formatted(aspect));
        }
    }
}
