package embrack.core.gear;

import embrack.core.name.TapeLabel;

/**
 * A socket of a model, or one of its ways of joining others without a socket.
 *
 * @param name as printed on the box: "MIDI OUT"
 * @param gives milliamps that it gives to what is plugged in, 0 to 20000; 0 when it is not said
 * @param forOneController a host socket that is kept for one controller: no hub works in it
 */
public record Port(
        PortId id, TapeLabel name, Connector connector, Direction direction, int gives, boolean forOneController) {

    public Port {
        if (gives < 0 || gives > 20_000) {
            throw new IllegalArgumentException("a port gives 0 to 20000 mA, was " + gives);
        }
        if (forOneController && connector != Connector.USB_HOST) {
            throw new IllegalArgumentException(
                    "only a USB host socket can be for one controller, %s is %s".formatted(name, connector.words()));
        }
    }

    /** A port that gives no power that is known of. */
    public Port(PortId id, TapeLabel name, Connector connector, Direction direction) {
        this(id, name, connector, direction, 0, false);
    }

    /** The socket as a person would ask for it: "5-pin MIDI OUT". */
    public String words() {
        return connector.words() + " " + name;
    }

    /** Whether messages pass it. */
    public boolean carriesMidi() {
        return connector.carriesMidi();
    }
}
