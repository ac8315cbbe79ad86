package embrack.core.sound;

import embrack.core.gear.Sound;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.List;

/**
 * What begins to sound in a device.
 *
 * @param sides where it comes out: one place, or left and right, which have much in common
 */
public record Source(DeviceId device, Sound sound, List<SoundPoint> sides) {

    public Source {
        sides = List.copyOf(sides);
        if (sides.isEmpty()) {
            throw new IllegalArgumentException("a sound comes out somewhere");
        }
    }

    /** What tells it from others, in links and forms. */
    public String key() {
        return device + "." + sound.key();
    }

    /** Whether it has a left and a right, and is not one sound at two outputs. */
    public boolean isStereo() {
        return sides.size() == 2 && sound.hasSides();
    }

    /** In words: "click of Tablet"; a microphone and an instrument are called as their tape says. */
    public String words(Rig rig) {
        return sound.isPlayed()
                ? "%s of %s".formatted(sound.words(), rig.name(device))
                : rig.name(device).text();
    }
}
