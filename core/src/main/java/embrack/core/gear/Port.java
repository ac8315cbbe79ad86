package embrack.core.gear;

import embrack.core.name.TapeLabel;

/**
 * A socket of a model, or one of its ways of joining others without a socket.
 *
 * @param name as printed on the box: "MIDI OUT"
 * @param gives milliamps that it gives to what is plugged in, 0 to 20000; 0 when it is not said
 * @param forOneController a host socket that is kept for one controller: no hub works in it
 * @param signal what sound passes it, of a socket for sound
 */
public record Port(
        PortId id,
        TapeLabel name,
        Connector connector,
        Direction direction,
        int gives,
        boolean forOneController,
        Signal signal) {

    public Port {
        if (gives < 0 || gives > 20_000) {
            throw new IllegalArgumentException("a port gives 0 to 20000 mA, was " + gives);
        }
        if (forOneController && connector != Connector.USB_HOST) {
            throw new IllegalArgumentException(
                    "only a USB host socket can be for one controller, %s is %s".formatted(name, connector.words()));
        }
        if (!connector.carriesSound() && !signal.equals(Signal.of(connector))) {
            throw new IllegalArgumentException("sound does not pass %s, %s".formatted(name, connector.words()));
        }
        if (connector.isStereo() && signal.channels() != 2 || connector.isLine() && signal.channels() != 1) {
            throw new IllegalArgumentException("%s, %s, carries %d, was %d channels"
                    .formatted(name, connector.words(), connector.isStereo() ? 2 : 1, signal.channels()));
        }
    }

    /** A port that is like all of its shape. */
    public Port(PortId id, TapeLabel name, Connector connector, Direction direction, int gives, boolean forOne) {
        this(id, name, connector, direction, gives, forOne, Signal.of(connector));
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

    /** Whether sound passes it. */
    public boolean carriesSound() {
        return connector.carriesSound();
    }

    /** Whether a lead with sound fits it. */
    public boolean isSoundSocket() {
        return carriesSound() && connector != Connector.BUS;
    }
}
