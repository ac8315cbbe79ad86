package embrack.core.world;

import embrack.core.chart.Aspect;
import embrack.core.chart.Part;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.Optional;

/**
 * What can only be one thing at a time: a place, or choices of which one holds, such as the scenes of a desk.
 */
public record Lane(DeviceId device, String name, Aspect aspect) implements Comparable<Lane> {

    /** The lane that a place lies in. */
    public static Lane of(Rig rig, Place place) {
        Optional<String> group = rig.model(place.device()).standing().alone().stream()
                .filter(parts -> parts.contains(place.part()))
                .map(parts -> parts.getFirst().text())
                .findFirst();
        Optional<String> family = place.aspect() == Aspect.CHOSEN
                ? rig.model(place.device()).part(place.part()).map(Part::family)
                : Optional.empty();
        return new Lane(
                place.device(),
                group.or(() -> family).orElseGet(() -> place.part().text()),
                place.aspect());
    }

    @Override
    public int compareTo(Lane other) {
        int byDevice = device.compareTo(other.device);
        int byName = byDevice != 0 ? byDevice : name.compareTo(other.name);
        return byName != 0 ? byName : aspect.compareTo(other.aspect);
    }
}
