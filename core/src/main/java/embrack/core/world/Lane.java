package embrack.core.world;

import embrack.core.chart.Aspect;
import embrack.core.chart.Part;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;

/**
 * What can only be one thing at a time: a place, or a family of choices of which one holds, such as the scenes of a
 * desk.
 */
public record Lane(DeviceId device, String name, Aspect aspect) implements Comparable<Lane> {

    /** The lane that a place lies in. */
    public static Lane of(Rig rig, Place place) {
        String name = place.aspect() == Aspect.CHOSEN
                ? rig.model(place.device())
                        .part(place.part())
                        .map(Part::family)
                        .orElseGet(() -> place.part().text())
                : place.part().text();
        return new Lane(place.device(), name, place.aspect());
    }

    @Override
    public int compareTo(Lane other) {
        int byDevice = device.compareTo(other.device);
        int byName = byDevice != 0 ? byDevice : name.compareTo(other.name);
        return byName != 0 ? byName : aspect.compareTo(other.aspect);
    }
}
