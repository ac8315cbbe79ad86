package embrack.core.gear;

import embrack.core.name.TapeLabel;

/**
 * A socket of a model.
 *
 * @param name as printed on the box: "MIDI OUT"
 */
public record Port(PortId id, TapeLabel name, Connector connector, Direction direction) {

    /** The socket as a person would ask for it: "5-pin MIDI OUT". */
    public String words() {
        return connector.words() + " " + name;
    }
}
