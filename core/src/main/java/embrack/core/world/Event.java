package embrack.core.world;

import embrack.core.midi.Message;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Socket;

/** Something that happens to a message, with the time since the simulation began in microseconds. */
public sealed interface Event {

    long atMicros();

    Socket socket();

    Message message();

    /** A board begins to send at one of its outputs. {@code bytes} is what goes on the cable, 1 to 3. */
    record Sent(long atMicros, Socket socket, Message message, int bytes) implements Event {}

    /** A message leaves by a socket that holds no cable. */
    record Lost(long atMicros, Socket socket, Message message) implements Event {}

    /** A box on the way passes it on by no port, because of what its ways through let pass. */
    record KeptBack(long atMicros, Socket socket, Message message, MidiFilter filter) implements Event {}

    /** It comes back to where it has been; it would go round for ever, and is followed no further. */
    record CameRound(long atMicros, Socket socket, Message message) implements Event {}

    /** The last byte is in at a box's input, which makes something of it. */
    record Arrived(long atMicros, Socket socket, Message message, Reading reading) implements Event {}
}
