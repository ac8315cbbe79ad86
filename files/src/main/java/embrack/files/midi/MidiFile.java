package embrack.files.midi;

import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A Standard MIDI File as it was read.
 *
 * <p>Source: Standard MIDI Files 1.0 (RP-001): chunks, variable-length quantities, running status, meta-events.
 *
 * @param ticksPerQuarter the division
 * @param tracks in the order of the file
 * @param broken where it could not be read further, and what was there; empty for a whole file
 * @param tooLong how many system exclusive messages were left out for their length
 */
record MidiFile(int ticksPerQuarter, List<Track> tracks, Optional<String> broken, int tooLong) {

    /** What a meta-event is. */
    static final int TEXT = 0x01;

    static final int NAME = 0x03;
    static final int MARKER = 0x06;
    static final int CUE_POINT = 0x07;
    static final int END = 0x2F;
    static final int TEMPO = 0x51;
    static final int METRE = 0x58;
    static final int KEY = 0x59;

    /** What is kept nowhere, by what it is called. */
    static final Map<Integer, String> LEFT_OUT =
            Map.of(TEXT, "text", 0x02, "copyright note", 0x04, "instrument name", 0x05, "word", CUE_POINT, "cue point");

    /** The largest file that is read, 16 MB. */
    static final int MAX_BYTES = 16 << 20;

    private static final int RIFF_HEAD = 12;

    /** As many messages as are kept of a file, and as many meta-events: far more than a song's cues need. */
    static final int MAX_MESSAGES = 100_000;

    static final int MAX_METAS = 10_000;

    /** The longest system exclusive message that is kept, in bytes; longer ones carry samples and memories. */
    private static final int MAX_EXCLUSIVE = 1_000;

    MidiFile {
        tracks = List.copyOf(tracks);
    }

    /** What one track holds, in order. */
    record Track(String name, List<Sent> messages, List<Meta> metas) {}

    /** A message at a tick. */
    record Sent(long tick, Message message) {}

    /** A meta-event at a tick. */
    record Meta(long tick, int type, byte[] data) {

        String text() {
            return new String(data, StandardCharsets.UTF_8);
        }
    }

    /**
     * Reads as much of a file as can be read.
     *
     * @throws IllegalArgumentException with a sentence for a person when not even its header is one
     */
    static MidiFile read(byte[] file) {
        if (file.length > MAX_BYTES) {
            throw new IllegalArgumentException("The file has more than 16 MB; a song's cues are far smaller.");
        }
        return new Reader(unwrapped(file)).read();
    }

    /** A file that stands in another one: of type RMID, in its chunk "data". Source: RP-029, from memory. */
    private static byte[] unwrapped(byte[] file) {
        boolean isWrapped = file.length > RIFF_HEAD
                && word(file, 0).equals("RIFF")
                && word(file, RIFF_HEAD - 4).equals("RMID");
        for (int at = RIFF_HEAD; isWrapped && at + 8 <= file.length; ) {
            long length = Integer.toUnsignedLong(ByteBuffer.wrap(file, at + 4, 4)
                    .order(ByteOrder.LITTLE_ENDIAN)
                    .getInt());
            if (word(file, at).equals("data")) {
                return Arrays.copyOfRange(file, at + 8, (int) Math.min(file.length, at + 8 + length));
            }
            at = (int) Math.min(file.length, at + 8 + length + length % 2);
        }
        return file;
    }

    private static String word(byte[] file, int from) {
        return new String(file, from, 4, StandardCharsets.ISO_8859_1);
    }

    private static final class Broken extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Broken(int offset, String words) {
            super("Byte %d: %s".formatted(offset, words), null, false, false);
        }
    }

    private static final class Reader {

        private final byte[] file;
        private int at;
        private int kept;
        private int keptMetas;
        private int tooLong;

        Reader(byte[] file) {
            this.file = file;
        }

        MidiFile read() {
            if (file.length == 0) {
                throw new IllegalArgumentException("The file is empty.");
            }
            if (file.length < 14 || !chunk(0).equals("MThd")) {
                throw new IllegalArgumentException("This is no Standard MIDI File: it does not begin with \"MThd\".");
            }
            at = 8 + (int) Math.clamp(number(4, 4), 6, file.length - 8L);
            int format = (int) number(8, 2);
            int announced = (int) number(10, 2);
            int division = (int) number(12, 2);
            if (division == 0 || (division & 0x8000) != 0) {
                throw new IllegalArgumentException(
                        "The file counts in frames of time code or in nothing, not in ticks of a quarter; "
                                + "export it with ticks.");
            }
            if (format > 1) {
                throw new IllegalArgumentException(
                        "The file is of type %d, a row of separate songs; export one song as type 0 or 1."
                                .formatted(format));
            }
            List<Track> tracks = new ArrayList<>();
            Optional<String> broken = Optional.empty();
            while (broken.isEmpty() && at < file.length) {
                broken = next(tracks);
            }
            if (broken.isEmpty() && tracks.size() < announced) {
                broken = Optional.of("The file ends behind track %d; its header says that there are %d."
                        .formatted(tracks.size(), announced));
            }
            return new MidiFile(division, tracks, broken, tooLong);
        }

        private Optional<String> next(List<Track> tracks) {
            if (at + 8 > file.length) {
                return Optional.of("Byte %d: the file ends inside the head of a chunk.".formatted(at));
            }
            String type = chunk(at);
            long length = number(at + 4, 4);
            int start = at + 8;
            if (!type.equals("MTrk")) {
                if (type.chars().anyMatch(c -> c < 0x20 || c > 0x7E) || start + length > file.length) {
                    return Optional.of("Byte %d: a track should begin here.".formatted(at));
                }
                at = (int) (start + length);
                return Optional.empty();
            }
            List<Sent> messages = new ArrayList<>();
            List<Meta> metas = new ArrayList<>();
            at = start;
            int end = (int) Math.min(start + length, file.length);
            Optional<String> broken = Optional.empty();
            try {
                events(end, messages, metas);
                if (start + length > file.length) {
                    throw new Broken(
                            file.length,
                            "the file ends, and the track should have %d bytes more."
                                    .formatted(start + length - file.length));
                }
            } catch (Broken e) {
                broken = Optional.of("Track %d. %s".formatted(tracks.size() + 1, e.getMessage()));
            }
            at = end;
            tracks.add(new Track(
                    metas.stream()
                            .filter(meta -> meta.type() == NAME)
                            .map(Meta::text)
                            .findFirst()
                            .orElse(""),
                    messages,
                    metas));
            return broken;
        }

        private void events(int end, List<Sent> messages, List<Meta> metas) {
            long tick = 0;
            int running = 0;
            while (at < end) {
                tick += quantity(end);
                int status = at < end ? file[at] & 0xFF : fail("the track ends behind a time.");
                if (status == 0xFF) {
                    at++;
                    int type = at < end ? file[at++] & 0xFF : fail("the track ends inside a meta-event.");
                    byte[] data = bytes((int) quantity(end), end);
                    requireRoom(++keptMetas, MAX_METAS, "meta-events");
                    metas.add(new Meta(tick, type, data));
                    running = 0;
                    if (type == END) {
                        return;
                    }
                } else if (status == 0xF0 || status == 0xF7) {
                    at++;
                    exclusive(tick, status, bytes((int) quantity(end), end), messages);
                    running = 0;
                } else if (status > 0xF0) {
                    fail("%02X has no place in a file.".formatted(status));
                } else {
                    running = voice(tick, status, running, end, messages);
                }
            }
        }

        private int voice(long tick, int first, int running, int end, List<Sent> messages) {
            int status = first >= 0x80 ? first : running;
            if (first >= 0x80) {
                at++;
            }
            if (status == 0) {
                fail("%02X stands where a message should begin.".formatted(first));
            }
            int one = data(end);
            int two = status >= 0xC0 && status < 0xE0 ? 0 : data(end);
            requireRoom(++kept, MAX_MESSAGES, "messages");
            messages.add(new Sent(tick, Decoder.message(status, one, two)));
            return status;
        }

        private void requireRoom(int number, int most, String what) {
            if (number > most) {
                fail("here comes more than %,d %s, as many as are read.".formatted(most, what));
            }
        }

        private void exclusive(long tick, int status, byte[] data, List<Sent> messages) {
            if (data.length > MAX_EXCLUSIVE) {
                tooLong++;
                return;
            }
            byte[] whole = data;
            if (status == 0xF0) {
                whole = new byte[data.length + 1];
                whole[0] = (byte) 0xF0;
                System.arraycopy(data, 0, whole, 1, data.length);
            }
            List<Message> decoded = Decoder.decode(whole).messages();
            kept += decoded.size();
            requireRoom(kept, MAX_MESSAGES, "messages");
            decoded.forEach(message -> messages.add(new Sent(tick, message)));
        }

        private int data(int end) {
            int value = at < end ? file[at] : fail("the track ends inside a message.");
            if (value < 0) {
                fail("%02X stands where a number from 00 to 7F should.".formatted(value & 0xFF));
            }
            at++;
            return value;
        }

        /** A variable-length quantity: seven bits a byte, four bytes at most. */
        private long quantity(int end) {
            long value = 0;
            for (int i = 0; i < 4; i++) {
                int next = at < end ? file[at++] : fail("the track ends inside a time or a length.");
                value = value << 7 | next & 0x7F;
                if (next >= 0) {
                    return value;
                }
            }
            return fail("a time or a length has more than four bytes.");
        }

        private byte[] bytes(int length, int end) {
            if (length > end - at) {
                fail("an event should have %d bytes, and %d are left.".formatted(length, end - at));
            }
            byte[] bytes = Arrays.copyOfRange(file, at, at + length);
            at += length;
            return bytes;
        }

        private int fail(String words) {
            throw new Broken(at, words);
        }

        private String chunk(int from) {
            return word(file, from);
        }

        private long number(int from, int bytes) {
            long value = 0;
            for (int i = 0; i < bytes; i++) {
                value = value << 8 | file[from + i] & 0xFF;
            }
            return value;
        }
    }
}
