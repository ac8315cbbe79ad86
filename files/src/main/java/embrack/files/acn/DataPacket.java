package embrack.files.acn;

import embrack.core.light.Frame;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.UUID;

/**
 * One frame of one universe as it goes over a network: a data packet of streaming ACN (ANSI E1.31-2018, sections 5 to
 * 7; from memory of the standard, checked against packets of another implementation).
 *
 * @param sender its component identifier
 * @param source the name of the sender, at most 63 bytes in UTF-8
 * @param universe 1 to 63 999
 * @param priority 0 to 200; of several senders the highest is shown
 * @param sequence 0 to 255, one more with every packet of a universe
 * @param isPreview whether it is not meant for what is seen on stage
 * @param isLast whether the sender ends here
 */
public record DataPacket(
        UUID sender,
        String source,
        int universe,
        int priority,
        int sequence,
        boolean isPreview,
        boolean isLast,
        Frame frame) {

    /** The port on which receivers listen. */
    public static final int PORT = 5568;

    /** Bytes of a packet with all 512 slots. */
    public static final int LENGTH = 638;

    /** What senders use unless told otherwise. */
    public static final int USUAL_PRIORITY = 100;

    static final byte[] IDENTIFIER = "ASC-E1.17\0\0\0".getBytes(StandardCharsets.US_ASCII);
    static final int ROOT_DATA = 0x0000_0004;
    static final int FRAMING_DATA = 0x0000_0002;
    static final int SET_PROPERTY = 0x02;
    static final int ADDRESS_TYPE = 0xa1;
    static final int NAME_BYTES = 64;
    static final int PREVIEW = 0x80;
    static final int TERMINATED = 0x40;
    static final int SLOTS_AT = 126;

    private static final int PREAMBLE = 0x0010;
    private static final int ROOT_AT = 16;
    private static final int FRAMING_AT = 38;
    private static final int DMP_AT = 115;
    private static final int FLAGS = 0x7000;
    private static final int LAST_UNIVERSE = 63_999;
    private static final int MAX_PRIORITY = 200;

    public DataPacket {
        if (universe < 1 || universe > LAST_UNIVERSE) {
            throw new IllegalArgumentException("Universes are counted from 1 to 63999, not " + universe + ".");
        }
        if (priority < 0 || priority > MAX_PRIORITY) {
            throw new IllegalArgumentException("A priority is 0 to 200, not " + priority + ".");
        }
        if (sequence < 0 || sequence > 255) {
            throw new IllegalArgumentException("A sequence number is 0 to 255, not " + sequence + ".");
        }
    }

    /** The packet as bytes. */
    public byte[] bytes() {
        ByteBuffer bytes = ByteBuffer.allocate(LENGTH);
        bytes.putShort((short) PREAMBLE)
                .putShort((short) 0)
                .put(IDENTIFIER)
                .putShort(length(ROOT_AT))
                .putInt(ROOT_DATA)
                .putLong(sender.getMostSignificantBits())
                .putLong(sender.getLeastSignificantBits())
                .putShort(length(FRAMING_AT))
                .putInt(FRAMING_DATA)
                .put(name())
                .put((byte) priority)
                .putShort((short) 0)
                .put((byte) sequence)
                .put((byte) ((isPreview ? PREVIEW : 0) | (isLast ? TERMINATED : 0)))
                .putShort((short) universe)
                .putShort(length(DMP_AT))
                .put((byte) SET_PROPERTY)
                .put((byte) ADDRESS_TYPE)
                .putShort((short) 0)
                .putShort((short) 1)
                .putShort((short) (LENGTH - SLOTS_AT + 1))
                .put((byte) 0);
        byte[] packet = bytes.array();
        frame.copyInto(packet, SLOTS_AT);
        return packet;
    }

    private static short length(int from) {
        return (short) (FLAGS | LENGTH - from);
    }

    /** The name in 64 bytes, the last of which is 0; cut between characters where it is longer. */
    private byte[] name() {
        String cut = source;
        while (cut.getBytes(StandardCharsets.UTF_8).length >= NAME_BYTES) {
            cut = cut.substring(0, cut.offsetByCodePoints(cut.length(), -1));
        }
        return Arrays.copyOf(cut.getBytes(StandardCharsets.UTF_8), NAME_BYTES);
    }
}
