package embrack.core.gear;

import embrack.core.name.TapeLabel;
import java.util.List;

/**
 * A socket with more uses than it can have at once: the one socket of a tablet is for power, for a controller and for
 * sound.
 *
 * @param name as people call it: "the only socket"
 * @param ports its uses, at least two
 * @param atOnce how many of them at the same time, 1 to one less than there are
 */
public record SharedSocket(TapeLabel name, List<PortId> ports, int atOnce) {

    public SharedSocket {
        ports = List.copyOf(ports);
        if (ports.size() < 2) {
            throw new IllegalArgumentException("a shared socket has two uses or more, was " + ports.size());
        }
        if (atOnce < 1 || atOnce >= ports.size()) {
            throw new IllegalArgumentException("a shared socket with %d uses has 1 to %d at once, was %d"
                    .formatted(ports.size(), ports.size() - 1, atOnce));
        }
    }
}
