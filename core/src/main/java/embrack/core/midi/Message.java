package embrack.core.midi;

import java.util.HexFormat;

/**
 * One MIDI message. Every number is the one on the wire; how a box shows it is the business of {@link ProgramCounting},
 * {@link NoteNaming} and of the box's display. Only a message of a {@link Voice} has a channel.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, "Channel Voice Messages", "System Common", "System Real Time".
 */
public sealed interface Message permits Message.Voice, SystemMessage {

    /** A message to one channel: two or three bytes. */
    sealed interface Voice extends Message {

        Channel channel();

        /** The same message to another channel. */
        default Voice onChannel(Channel other) {
            return switch (this) {
                case NoteOff m -> new NoteOff(other, m.note, m.velocity);
                case NoteOn m -> new NoteOn(other, m.note, m.velocity);
                case PolyPressure m -> new PolyPressure(other, m.note, m.pressure);
                case ControlChange m -> new ControlChange(other, m.controller, m.value);
                case ProgramChange m -> new ProgramChange(other, m.program);
                case ChannelPressure m -> new ChannelPressure(other, m.pressure);
                case PitchBend m -> new PitchBend(other, m.amount);
            };
        }

        /** The status byte, 0x80 to 0xEF. */
        @Override
        default int status() {
            return type().status() | channel().wire();
        }
    }

    /** Note off: releases a key. {@code note} and {@code velocity} 0 to 127. */
    record NoteOff(Channel channel, int note, int velocity) implements Voice {
        public NoteOff {
            DataByte.checked("note", note);
            DataByte.checked("velocity", velocity);
        }

        @Override
        public int write(byte[] to, int position) {
            return Encoder.write(0x80 | channel.wire(), note, velocity, to, position);
        }

        @Override
        public MessageType type() {
            return MessageType.NOTE_OFF;
        }

        @Override
        public int data1() {
            return note;
        }

        @Override
        public int data2() {
            return velocity;
        }
    }

    /** Note on: strikes a key. {@code note} and {@code velocity} 0 to 127; velocity 0 is read as a note off. */
    record NoteOn(Channel channel, int note, int velocity) implements Voice {
        public NoteOn {
            DataByte.checked("note", note);
            DataByte.checked("velocity", velocity);
        }

        @Override
        public int write(byte[] to, int position) {
            return Encoder.write(0x90 | channel.wire(), note, velocity, to, position);
        }

        @Override
        public MessageType type() {
            return MessageType.NOTE_ON;
        }

        @Override
        public int data1() {
            return note;
        }

        @Override
        public int data2() {
            return velocity;
        }
    }

    /** Polyphonic key pressure. {@code note} and {@code pressure} 0 to 127. */
    record PolyPressure(Channel channel, int note, int pressure) implements Voice {
        public PolyPressure {
            DataByte.checked("note", note);
            DataByte.checked("pressure", pressure);
        }

        @Override
        public int write(byte[] to, int position) {
            return Encoder.write(0xA0 | channel.wire(), note, pressure, to, position);
        }

        @Override
        public MessageType type() {
            return MessageType.POLY_PRESSURE;
        }

        @Override
        public int data1() {
            return note;
        }

        @Override
        public int data2() {
            return pressure;
        }
    }

    /** Control change. {@code controller} and {@code value} 0 to 127; 120 to 127 are channel mode messages. */
    record ControlChange(Channel channel, int controller, int value) implements Voice {
        public ControlChange {
            DataByte.checked("controller", controller);
            DataByte.checked("value", value);
        }

        @Override
        public int write(byte[] to, int position) {
            return Encoder.write(0xB0 | channel.wire(), controller, value, to, position);
        }

        @Override
        public MessageType type() {
            return MessageType.CONTROL_CHANGE;
        }

        @Override
        public int data1() {
            return controller;
        }

        @Override
        public int data2() {
            return value;
        }
    }

    /** Program change. {@code program} 0 to 127 as sent, whatever the box counts from. */
    record ProgramChange(Channel channel, int program) implements Voice {
        public ProgramChange {
            DataByte.checked("program", program);
        }

        @Override
        public int write(byte[] to, int position) {
            return Encoder.write(0xC0 | channel.wire(), program, to, position);
        }

        @Override
        public MessageType type() {
            return MessageType.PROGRAM_CHANGE;
        }

        @Override
        public int data1() {
            return program;
        }

        @Override
        public int data2() {
            return 0;
        }
    }

    /** Channel pressure. {@code pressure} 0 to 127. */
    record ChannelPressure(Channel channel, int pressure) implements Voice {
        public ChannelPressure {
            DataByte.checked("pressure", pressure);
        }

        @Override
        public int write(byte[] to, int position) {
            return Encoder.write(0xD0 | channel.wire(), pressure, to, position);
        }

        @Override
        public MessageType type() {
            return MessageType.CHANNEL_PRESSURE;
        }

        @Override
        public int data1() {
            return pressure;
        }

        @Override
        public int data2() {
            return 0;
        }
    }

    /** Pitch bend. {@code amount} 0 to 16383, 8192 is the middle; the low seven bits travel first. */
    record PitchBend(Channel channel, int amount) implements Voice {
        public PitchBend {
            if (amount < 0 || amount > 16_383) {
                throw new IllegalArgumentException("pitch bend must be 0 to 16383, was " + amount);
            }
        }

        @Override
        public int write(byte[] to, int position) {
            return Encoder.write(0xE0 | channel.wire(), amount & 0x7F, amount >> 7, to, position);
        }

        @Override
        public MessageType type() {
            return MessageType.PITCH_BEND;
        }

        @Override
        public int data1() {
            return amount & 0x7F;
        }

        @Override
        public int data2() {
            return amount >> 7;
        }
    }

    /** Which of the messages this is. */
    MessageType type();

    /** The status byte, 0x80 to 0xFF. */
    int status();

    /** The first data byte, 0 to 127; 0 for the types that have none. */
    int data1();

    /** The second data byte, 0 to 127; 0 for the types that have fewer. */
    int data2();

    /** How many bytes it has, status byte included: 1 to 3, any number for system exclusive. */
    default int length() {
        return 1 + type().dataBytes();
    }

    /**
     * Writes the whole message, status byte included.
     *
     * @param to holds at least {@link #length()} bytes from {@code position} on
     * @return the position behind it
     */
    int write(byte[] to, int position);

    /** The whole message as it travels, status byte included. */
    default byte[] bytes() {
        byte[] bytes = new byte[length()];
        write(bytes, 0);
        return bytes;
    }

    /** The bytes in hexadecimal as manuals print them: {@code B1 12 7F}. */
    default String hex() {
        return HexFormat.ofDelimiter(" ").withUpperCase().formatHex(bytes());
    }

    /** Whether it releases a key: a note off, or a note on of velocity 0, which is read as one. */
    default boolean isRelease() {
        return this instanceof NoteOff || this instanceof NoteOn on && on.velocity() == 0;
    }
}
