package embrack.core.power;

import embrack.core.gear.Power.Source;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.Optional;

/**
 * What a device runs from.
 *
 * @param from the port of another device that it runs from; empty when it runs from nothing in the rig
 * @param by the sort of source; empty when a lead brings it, or nothing does
 * @param milliamps what it draws, 0 when that is not known
 */
public record Feeding(DeviceId device, Optional<Socket> from, Optional<Source> by, int milliamps) {

    /** Whether anything powers it. */
    public boolean isFed() {
        return by.isPresent() || from.isPresent();
    }

    /** Whether it runs from a source of that sort. */
    public boolean isBy(Source source) {
        return by.filter(s -> s == source).isPresent();
    }

    /** What it runs from in words: "USB", "batteries", "a lead from Supply", "nothing". */
    public String how(Rig rig) {
        return by.map(Source::words)
                .or(() -> from.map(port -> "a lead from " + rig.name(port.device())))
                .orElse("nothing");
    }
}
