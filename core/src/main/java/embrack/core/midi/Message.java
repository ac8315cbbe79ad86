package embrack.core.midi;

import java.util.HexFormat;

/**
 * One MIDI channel message. Every number is the one on the wire; how a box shows it is the business of
 * {@link ProgramCounting} and of the box's display.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, "Channel Voice Messages".
 */
public sealed interface Message {

    /** Note off: releases a key. {@code note} and {@code velocity} 0 to 127. */
    record NoteOff(Channel channel, int note, int velocity) implements Message {
        public NoteOff {
            DataByte.checked("note", note);
            DataByte.checked("velocity", velocity);
        }
    }

    /** Note on: strikes a key. {@code note} and {@code velocity} 0 to 127; velocity 0 is read as a note off. */
    record NoteOn(Channel channel, int note, int velocity) implements Message {
        public NoteOn {
            DataByte.checked("note", note);
            DataByte.checked("velocity", velocity);
        }
    }

    /** Polyphonic key pressure. {@code note} and {@code pressure} 0 to 127. */
    record PolyPressure(Channel channel, int note, int pressure) implements Message {
        public PolyPressure {
            DataByte.checked("note", note);
            DataByte.checked("pressure", pressure);
        }
    }

    /** Control change. {@code controller} and {@code value} 0 to 127; 120 to 127 are channel mode messages. */
    record ControlChange(Channel channel, int controller, int value) implements Message {
        public ControlChange {
            DataByte.checked("controller", controller);
            DataByte.checked("value", value);
        }
    }

    /** Program change. {@code program} 0 to 127 as sent, whatever the box counts from. */
    record ProgramChange(Channel channel, int program) implements Message {
        public ProgramChange {
            DataByte.checked("program", program);
        }
    }

    /** Channel pressure. {@code pressure} 0 to 127. */
    record ChannelPressure(Channel channel, int pressure) implements Message {
        public ChannelPressure {
            DataByte.checked("pressure", pressure);
        }
    }

    /** Pitch bend. {@code amount} 0 to 16383, 8192 is the middle; the low seven bits travel first. */
    record PitchBend(Channel channel, int amount) implements Message {
        public PitchBend {
            if (amount < 0 || amount > 16_383) {
                throw new IllegalArgumentException("pitch bend must be 0 to 16383, was " + amount);
            }
        }
    }

    Channel channel();

    /** Which of the channel messages this is. */
    default MessageType type() {
        return switch (this) {
            case NoteOff m -> MessageType.NOTE_OFF;
            case NoteOn m -> MessageType.NOTE_ON;
            case PolyPressure m -> MessageType.POLY_PRESSURE;
            case ControlChange m -> MessageType.CONTROL_CHANGE;
            case ProgramChange m -> MessageType.PROGRAM_CHANGE;
            case ChannelPressure m -> MessageType.CHANNEL_PRESSURE;
            case PitchBend m -> MessageType.PITCH_BEND;
        };
    }

    /** The status byte, 0x80 to 0xEF. */
    default int status() {
        return type().status(channel());
    }

    /** The first data byte, 0 to 127. */
    default int data1() {
        return switch (this) {
            case NoteOff m -> m.note();
            case NoteOn m -> m.note();
            case PolyPressure m -> m.note();
            case ControlChange m -> m.controller();
            case ProgramChange m -> m.program();
            case ChannelPressure m -> m.pressure();
            case PitchBend m -> m.amount() & 0x7F;
        };
    }

    /** The second data byte, 0 to 127; 0 for the types that have only one. */
    default int data2() {
        return switch (this) {
            case NoteOff m -> m.velocity();
            case NoteOn m -> m.velocity();
            case PolyPressure m -> m.pressure();
            case ControlChange m -> m.value();
            case ProgramChange m -> 0;
            case ChannelPressure m -> 0;
            case PitchBend m -> m.amount() >> 7;
        };
    }

    /** The whole message as it travels, status byte included: 2 or 3 bytes. */
    default byte[] bytes() {
        return type().dataBytes() == 1
                ? new byte[] {(byte) status(), (byte) data1()}
                : new byte[] {(byte) status(), (byte) data1(), (byte) data2()};
    }

    /** The bytes in hexadecimal as manuals print them: {@code B1 12 7F}. */
    default String hex() {
        return HexFormat.ofDelimiter(" ").withUpperCase().formatHex(bytes());
    }
}
