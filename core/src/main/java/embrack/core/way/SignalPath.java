package embrack.core.way;

import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import java.util.List;

/** A whole way from one box to another; {@code hops} holds at least one. */
public record SignalPath(List<Hop> hops) {

    public SignalPath {
        hops = List.copyOf(hops);
        if (hops.isEmpty()) {
            throw new IllegalArgumentException("a way has at least one hop");
        }
    }

    public Hop last() {
        return hops.getLast();
    }

    public List<Link> links() {
        return hops.stream().map(Hop::link).toList();
    }

    /** In words: "Voice board MIDI OUT to Vocal mixer MIDI IN, Vocal mixer MIDI THRU to ...". */
    public String words(Rig rig) {
        return String.join(
                ", ",
                hops.stream()
                        .map(hop -> rig.words(hop.from()) + " to " + rig.words(hop.to()))
                        .toList());
    }
}
