package embrack.core.world;

import embrack.core.midi.Message;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Socket;

/** Something that happened to a message, with the time since the simulation began in microseconds. */
public sealed interface Happened {

    long atMicros();

    Socket socket();

    Message message();

    /** As this, so many microseconds later. */
    Happened later(long micros);

    /** A board begins to send at one of its outputs. {@code bytes} is what goes on the cable, 1 to 3. */
    record Sent(long atMicros, Socket socket, Message message, int bytes) implements Happened {
        @Override
        public Sent later(long micros) {
            return new Sent(atMicros + micros, socket, message, bytes);
        }
    }

    /** A message leaves by a socket that holds no cable. */
    record Lost(long atMicros, Socket socket, Message message) implements Happened {
        @Override
        public Lost later(long micros) {
            return new Lost(atMicros + micros, socket, message);
        }
    }

    /** What it goes over fails: the link is out, a box at its end is dark, or the message is lost on it. */
    record Failed(long atMicros, Socket socket, Message message) implements Happened {
        @Override
        public Failed later(long micros) {
            return new Failed(atMicros + micros, socket, message);
        }
    }

    /** A box on the way passes it on by no port, because of what its ways through let pass. */
    record KeptBack(long atMicros, Socket socket, Message message, MidiFilter filter) implements Happened {
        @Override
        public KeptBack later(long micros) {
            return new KeptBack(atMicros + micros, socket, message, filter);
        }
    }

    /** It comes once more to where it has been twice; it would go round for ever, and is followed no further. */
    record CameRound(long atMicros, Socket socket, Message message) implements Happened {
        @Override
        public CameRound later(long micros) {
            return new CameRound(atMicros + micros, socket, message);
        }
    }

    /** The last byte is in at a box's input, which makes something of it. */
    record Arrived(long atMicros, Socket socket, Message message, Reading reading) implements Happened {
        @Override
        public Arrived later(long micros) {
            return new Arrived(atMicros + micros, socket, message, reading);
        }
    }
}
