package embrack.files.midi;

import embrack.core.midi.Message;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.List;

/** What happens at one tick: steps, and messages that no chart explains. */
public final class Instant {

    private final long tick;
    private final List<Step> steps = new ArrayList<>(1);
    private final List<Message> raw = new ArrayList<>(0);

    /** At a tick, of the core's resolution; nothing happens yet. */
    public Instant(long tick) {
        this.tick = tick;
    }

    public long tick() {
        return tick;
    }

    /** The steps, in order; may be added to. */
    public List<Step> steps() {
        return steps;
    }

    /** The messages, in order; may be added to. */
    public List<Message> raw() {
        return raw;
    }

    void add(Instant later) {
        steps.addAll(later.steps);
        raw.addAll(later.raw);
    }
}
