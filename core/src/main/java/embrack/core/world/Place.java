package embrack.core.world;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.rig.DeviceId;
import java.util.Comparator;

/** One thing in the rig that can differ: an aspect of a part of a device. */
public record Place(DeviceId device, PartId part, Aspect aspect) implements Comparable<Place> {

    private static final Comparator<Place> ORDER =
            Comparator.comparing(Place::device).thenComparing(Place::part).thenComparing(Place::aspect);

    @Override
    public int compareTo(Place other) {
        return ORDER.compare(this, other);
    }
}
