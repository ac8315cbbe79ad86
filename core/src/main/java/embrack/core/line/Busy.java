package embrack.core.line;

import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.rig.DeviceId;
import java.util.Map;
import java.util.TreeMap;

/**
 * Numbers of which more comes than feet on switches make: a pedal that moves, or one that is stuck and floods a cable.
 * They are set aside, so that what is pressed meanwhile is still told apart.
 *
 * @param streams how many came without a pause, by box and number
 */
record Busy(Map<String, Stream> streams) {

    static final Busy NOTHING = new Busy(Map.of());

    /** So many in a row are no switch any more. Common practice, no source. */
    private static final int MANY = 5;

    private static final int REMEMBERED = 256;

    /**
     * Messages of one number.
     *
     * @param last when the last one came, in microseconds
     */
    record Stream(int count, long last) {}

    Busy {
        streams = Map.copyOf(streams);
    }

    /** With one more message, and those of its number that came with it. */
    Busy after(Heard heard) {
        String key = key(heard.from(), heard.message());
        Stream before = streams.getOrDefault(key, new Stream(0, Long.MIN_VALUE / 2));
        int count = heard.count() + (heard.atMicros() - before.last() > Burst.GAP_MICROS ? 0 : before.count());
        Map<String, Stream> more = new TreeMap<>(streams);
        if (more.size() >= REMEMBERED) {
            more.values().removeIf(stream -> heard.atMicros() - stream.last() > Burst.GAP_MICROS);
        }
        if (more.size() < REMEMBERED) {
            more.put(key, new Stream(count, heard.atMicros()));
        }
        return new Busy(more);
    }

    /** Whether more of a message's number comes than feet make. */
    boolean has(DeviceId from, Message message) {
        Stream stream = streams.get(key(from, message));
        return stream != null && stream.count() >= MANY;
    }

    private static String key(DeviceId from, Message message) {
        boolean note = message.type() == MessageType.NOTE_ON || message.type() == MessageType.NOTE_OFF;
        boolean numbered =
                note || message.type() == MessageType.CONTROL_CHANGE || message.type() == MessageType.POLY_PRESSURE;
        return "%s %d %d"
                .formatted(from, note ? message.status() | 0x10 : message.status(), numbered ? message.data1() : 0);
    }
}
