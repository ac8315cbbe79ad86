package embrack.core.sound;

import embrack.core.gear.Ear;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.List;
import java.util.Optional;

/**
 * Who hears what arrives.
 *
 * @param device the box that they hear; empty for those of whom it is only said that an output goes to them
 * @param ends where it arrives
 */
public record Listener(Optional<DeviceId> device, Ear ear, List<SoundPoint> ends) {

    public Listener {
        ends = List.copyOf(ends);
    }

    /** What tells it from others, in links and forms. */
    public String key() {
        return device.map(d -> d + ".").orElse("") + ear.key();
    }

    /** In words: "In-ears of Mara", "house". */
    public String words(Rig rig) {
        return device.map(d -> rig.name(d).text()).orElse(ear.words());
    }
}
