package embrack.core.midi;

import embrack.core.midi.Decoded.Fault;
import embrack.core.midi.Message.ChannelPressure;
import embrack.core.midi.Message.ControlChange;
import embrack.core.midi.Message.NoteOff;
import embrack.core.midi.Message.NoteOn;
import embrack.core.midi.Message.PitchBend;
import embrack.core.midi.Message.PolyPressure;
import embrack.core.midi.Message.ProgramChange;
import embrack.core.midi.SystemMessage.QuarterFrame;
import embrack.core.midi.SystemMessage.SongPosition;
import embrack.core.midi.SystemMessage.SongSelect;
import embrack.core.midi.SystemMessage.TuneRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;

/**
 * Reads messages from a stream of bytes: running status, real-time bytes inside other messages, system exclusive of any
 * length. Whatever cannot be read becomes a fault with its offset, and reading goes on at the next status byte. Cost:
 * linear in the bytes.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, "Running Status", "System Real Time Messages", "System Exclusive".
 */
public final class Decoder {

    /** Which faults are kept; more of the same stream say nothing new. */
    public static final int MOST_FAULTS = 1_000;

    private static final int NONE = 0;

    private final byte[] bytes;
    private final List<Message> messages;
    private final List<Fault> faults = new ArrayList<>();

    /** The status that data bytes belong to, {@link #NONE} where they belong to none. */
    private int running;
    /** Where the open message began, and its first data byte if that is here; negative when there is none. */
    private int openAt = -1;

    private int first = -1;
    /** The last data byte without a status; neighbours of it are told as one fault. */
    private int orphanAt = -2;

    private Decoder(byte[] bytes) {
        this.bytes = bytes;
        this.messages = new ArrayList<>(bytes.length / 2 + 1);
    }

    /**
     * Reads bytes that are written as hexadecimal digits, two a byte, with blanks between them or without.
     *
     * @throws IllegalArgumentException when anything else stands there
     */
    public static Decoded hex(String digits) {
        return decode(HexFormat.of().parseHex(digits.replaceAll("\\s+", "")));
    }

    /** Reads a whole stream; never throws, whatever the bytes. */
    public static Decoded decode(byte[] stream) {
        var decoder = new Decoder(stream);
        decoder.run();
        return new Decoded(decoder.messages, decoder.faults);
    }

    private void run() {
        for (int i = wholes(0); i < bytes.length; i = wholes(i + 1)) {
            int value = bytes[i];
            if (value >= 0) {
                data(i, value);
            } else if ((value & 0xFF) >= 0xF8) {
                realTime(i, value & 0xFF);
            } else if ((value & 0xFF) == 0xF0) {
                i = exclusive(i);
            } else {
                status(i, value & 0xFF);
            }
        }
        abandon(bytes.length);
    }

    /** Reads channel messages whose bytes stand together, as nearly all do; gives the offset where that is over. */
    private int wholes(int from) {
        int at = from;
        while (at + 2 < bytes.length && bytes[at] < (byte) 0xF0 && bytes[at + 1] >= 0) {
            int status = bytes[at] & 0xFF;
            boolean one = takesOne(status);
            if (!one && bytes[at + 2] < 0) {
                return at;
            }
            abandon(at);
            messages.add(message(status, bytes[at + 1], one ? 0 : bytes[at + 2]));
            running = status;
            at += one ? 2 : 3;
        }
        return at;
    }

    private void status(int at, int status) {
        abandon(at);
        List<MessageType> type = MessageType.ofStatus(status);
        if (type.isEmpty()) {
            running = NONE;
            fault(
                    at,
                    status == SystemExclusive.END
                            ? "F7 ends a system exclusive message that never began"
                            : "%02X is not defined in MIDI 1.0".formatted(status));
            return;
        }
        running = status;
        openAt = at;
        if (type.getFirst().dataBytes() == 0) {
            complete(0, 0);
        }
    }

    private void data(int at, int value) {
        if (running == NONE) {
            orphan(at, value);
        } else if (takesOne(running)) {
            complete(value, 0);
        } else if (first < 0) {
            first = value;
            openAt = openAt < 0 ? at : openAt;
        } else {
            complete(first, value);
        }
    }

    private void orphan(int at, int value) {
        if (orphanAt != at - 1) {
            fault(at, "%02X is a data byte and no status byte says what it belongs to".formatted(value));
        }
        orphanAt = at;
    }

    private void complete(int data1, int data2) {
        messages.add(message(running, data1, data2));
        openAt = -1;
        first = -1;
        if (running >= 0xF0) {
            running = NONE;
        }
    }

    private static boolean takesOne(int status) {
        return status >= 0xC0 && status < 0xE0 || status == 0xF1 || status == 0xF3;
    }

    /** The message of a status byte and its data bytes; {@code data2} is ignored where there is one. */
    public static Message message(int status, int data1, int data2) {
        if (status >= 0xF0) {
            return system(status, data1, data2);
        }
        Channel channel = Channel.ofWire(status & 0xF);
        return switch (status >> 4) {
            case 0x8 -> new NoteOff(channel, data1, data2);
            case 0x9 -> new NoteOn(channel, data1, data2);
            case 0xA -> new PolyPressure(channel, data1, data2);
            case 0xB -> new ControlChange(channel, data1, data2);
            case 0xC -> new ProgramChange(channel, data1);
            case 0xD -> new ChannelPressure(channel, data1);
            default -> new PitchBend(channel, data2 << 7 | data1);
        };
    }

    private static Message system(int status, int data1, int data2) {
        return switch (status) {
            case 0xF1 -> new QuarterFrame(data1 >> 4, data1 & 0xF);
            case 0xF2 -> new SongPosition(data2 << 7 | data1);
            case 0xF3 -> new SongSelect(data1);
            default -> new TuneRequest();
        };
    }

    private void realTime(int at, int status) {
        MessageType.ofStatus(status).stream()
                .findFirst()
                .ifPresentOrElse(
                        type -> messages.add(RealTime.of(type)),
                        () -> fault(at, "%02X is not defined in MIDI 1.0".formatted(status)));
    }

    /** Reads a system exclusive message; gives the offset of its last byte. */
    private int exclusive(int start) {
        abandon(start);
        running = NONE;
        byte[] content = new byte[16];
        int length = 0;
        for (int i = start + 1; i < bytes.length; i++) {
            int value = bytes[i];
            if (value >= 0) {
                content = length == content.length ? Arrays.copyOf(content, length * 2) : content;
                content[length++] = (byte) value;
            } else if ((value & 0xFF) >= 0xF8) {
                realTime(i, value & 0xFF);
            } else {
                boolean ended = (value & 0xFF) == SystemExclusive.END;
                keep(start, ended, Arrays.copyOf(content, length), (value & 0xFF));
                return ended ? i : i - 1;
            }
        }
        fault(start, "this system exclusive message is cut off: no F7 ends it");
        return bytes.length - 1;
    }

    private void keep(int start, boolean ended, byte[] content, int next) {
        if (!ended) {
            fault(start, "this system exclusive message is broken off by %02X; F7 was to end it".formatted(next));
        } else if (content.length == 0) {
            fault(start, "this system exclusive message is empty");
        } else {
            messages.add(SystemExclusive.of(content));
        }
    }

    /** Gives up the message that is open, if there is one, because something else begins. */
    private void abandon(int before) {
        if (openAt < 0) {
            return;
        }
        MessageType type = MessageType.ofStatus(running).getFirst();
        fault(
                openAt,
                "this %s message has %d of its %d data bytes; %s"
                        .formatted(
                                type.shortName(),
                                first < 0 ? 0 : 1,
                                type.dataBytes(),
                                before == bytes.length ? "then the stream ends" : "then another message begins"));
        openAt = -1;
        first = -1;
    }

    private void fault(int offset, String words) {
        if (faults.size() < MOST_FAULTS) {
            faults.add(new Fault(offset, words));
        }
    }
}
