package embrack.core.midi;

/**
 * A MIDI message that goes to no channel but to the whole system.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, "System Common Messages", "System Real Time Messages".
 */
public sealed interface SystemMessage extends Message
        permits RealTime,
                SystemExclusive,
                SystemMessage.QuarterFrame,
                SystemMessage.SongPosition,
                SystemMessage.SongSelect,
                SystemMessage.TuneRequest {

    /** A piece of time code. {@code piece} 0 to 7, {@code nibble} 0 to 15; see {@link TimeCode}. */
    record QuarterFrame(int piece, int nibble) implements SystemMessage {
        public QuarterFrame {
            if (piece < 0 || piece > 7 || nibble < 0 || nibble > 15) {
                throw new IllegalArgumentException(
                        "a quarter frame has a piece 0 to 7 and a nibble 0 to 15, was %d and %d"
                                .formatted(piece, nibble));
            }
        }

        @Override
        public MessageType type() {
            return MessageType.QUARTER_FRAME;
        }

        @Override
        public int data1() {
            return piece << 4 | nibble;
        }
    }

    /** Where a song stands. {@code sixteenths} since its start, 0 to 16383; one is six clocks. */
    record SongPosition(int sixteenths) implements SystemMessage {
        public SongPosition {
            FourteenBit.checked("song position", sixteenths);
        }

        @Override
        public MessageType type() {
            return MessageType.SONG_POSITION;
        }

        @Override
        public int data1() {
            return FourteenBit.low(sixteenths);
        }

        @Override
        public int data2() {
            return FourteenBit.high(sixteenths);
        }
    }

    /** Which song is next. {@code song} 0 to 127 as sent. */
    record SongSelect(int song) implements SystemMessage {
        public SongSelect {
            DataByte.checked("song", song);
        }

        @Override
        public MessageType type() {
            return MessageType.SONG_SELECT;
        }

        @Override
        public int data1() {
            return song;
        }
    }

    /** Asks analogue instruments to tune themselves. */
    record TuneRequest() implements SystemMessage {
        @Override
        public MessageType type() {
            return MessageType.TUNE_REQUEST;
        }
    }

    @Override
    default int write(byte[] to, int position) {
        to[position] = (byte) status();
        int data = type().dataBytes();
        if (data > 0) {
            to[position + 1] = (byte) data1();
        }
        if (data > 1) {
            to[position + 2] = (byte) data2();
        }
        return position + 1 + data;
    }

    @Override
    default int status() {
        return type().status();
    }

    @Override
    default int data1() {
        return 0;
    }

    @Override
    default int data2() {
        return 0;
    }
}
