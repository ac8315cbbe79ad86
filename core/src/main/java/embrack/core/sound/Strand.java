package embrack.core.sound;

import embrack.core.gear.Gate;
import embrack.core.gear.SoundWay;
import embrack.core.rig.Link;
import java.util.List;
import java.util.Optional;

/**
 * One step of sound: over a channel of a link, or through a box.
 *
 * @param link what it goes over; empty inside a box
 * @param way what it goes through; empty on a link
 * @param decibels how much louder it gets where all stands open; minus infinity for a send that is shut; into an input
 * with a gain knob what makes good for the boxes before it
 * @param micros how late, microseconds
 */
public record Strand(
        SoundPoint from,
        SoundPoint to,
        Optional<Link> link,
        Optional<SoundWay> way,
        double decibels,
        boolean inverted,
        long micros) {

    /** What lets it pass. */
    public List<Gate> gates() {
        return way.map(SoundWay::gates).orElse(List.of());
    }

    Strand withDecibels(double other) {
        return new Strand(from, to, link, way, other, inverted, micros);
    }
}
