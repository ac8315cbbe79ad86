package embrack.core.world;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.Comparator;

/** One thing in the rig that can differ: an aspect of a part of a device. */
public record Place(DeviceId device, PartId part, Aspect aspect) implements Comparable<Place> {

    private static final Comparator<Place> ORDER =
            Comparator.comparing(Place::device).thenComparing(Place::part).thenComparing(Place::aspect);

    /** A value of it in a word, a level as its box shows it: "muted", "500 ms". */
    public String word(Rig rig, int value) {
        return aspect == Aspect.LEVEL
                ? rig.chart(device).scale(part).map(scale -> scale.shown(value)).orElseGet(() -> aspect.word(value))
                : aspect.word(value);
    }

    @Override
    public int compareTo(Place other) {
        return ORDER.compare(this, other);
    }
}
