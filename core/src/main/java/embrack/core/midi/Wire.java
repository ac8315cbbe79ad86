package embrack.core.midi;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * A 5-pin MIDI cable: the bytes that messages become on it and the time that bytes take.
 *
 * <p>Source: MIDI 1.0 Detailed Specification: 31 250 baud, one start bit, eight data bits, one stop bit; "Running
 * Status": a status byte equal to the one before may be left out.
 */
public final class Wire {

    /** Bits a second on the cable. */
    public static final int BAUD = 31_250;

    /** Bits that one byte takes: start, eight data bits, stop. */
    public static final int BITS_PER_BYTE = 10;

    /** Time of one byte, exactly 320 microseconds. */
    public static final long MICROS_PER_BYTE = 1_000_000L * BITS_PER_BYTE / BAUD;

    private Wire() {}

    /** Whether a sender leaves out a status byte that repeats the one before. */
    public enum RunningStatus {
        USED,
        NOT_USED
    }

    /**
     * The bytes of messages sent one behind the other.
     *
     * @param messages in the order of sending
     * @return the stream, less the status bytes that running status saves
     */
    public static byte[] stream(List<? extends Message> messages, RunningStatus runningStatus) {
        byte[] out = new byte[messages.stream().mapToInt(Message::length).sum()];
        int position = 0;
        int running = 0;
        for (Message message : messages) {
            position = runningStatus == RunningStatus.USED
                    ? Encoder.writeRunning(message, running, out, position)
                    : message.write(out, position);
            running = Encoder.runningAfter(message, running);
        }
        return position == out.length ? out : Arrays.copyOf(out, position);
    }

    /**
     * Bytes that one message takes on the cable behind another.
     *
     * @param running the status that holds before it, from {@link #running}; 0 at the start of a stream
     */
    public static int length(Message message, int running, RunningStatus runningStatus) {
        boolean saved =
                runningStatus == RunningStatus.USED && message.type().hasChannel() && message.status() == running;
        return message.length() - (saved ? 1 : 0);
    }

    /** The status that holds behind a message, for the one that follows; {@code before} the one that held before it. */
    public static int running(Message message, int before) {
        return Encoder.runningAfter(message, before);
    }

    /**
     * Time on the cable in microseconds.
     *
     * @param bytes number of bytes, 0 or more
     */
    public static long micros(int bytes) {
        return bytes * MICROS_PER_BYTE;
    }

    /** A time in milliseconds as it is shown everywhere, to the microsecond: {@code 0.960 ms}. */
    public static String millis(long micros) {
        return String.format(Locale.ROOT, "%d.%03d ms", micros / 1000, micros % 1000);
    }
}
