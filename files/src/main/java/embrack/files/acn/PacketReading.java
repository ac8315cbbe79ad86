package embrack.files.acn;

import embrack.core.light.Frame;
import embrack.core.light.Mode;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.UUID;

/**
 * A packet from a network, read.
 *
 * @param packet the frame that came; empty for what is no data packet of streaming ACN
 * @param problem what is wrong with it, as a sentence; empty where nothing is
 */
public record PacketReading(Optional<DataPacket> packet, String problem) {

    private static final int DMP_AT = 115;
    private static final int START_CODE_AT = 125;

    /** Reads a packet; never throws, whatever came. */
    public static PacketReading of(byte[] bytes) {
        if (bytes.length < DataPacket.SLOTS_AT) {
            return no("It has %d bytes; a frame without any slot has %d.".formatted(bytes.length, DataPacket.SLOTS_AT));
        }
        ByteBuffer buffer = ByteBuffer.wrap(bytes);
        if (buffer.getShort(0) != 0x0010 || !Arrays.equals(Arrays.copyOfRange(bytes, 4, 16), DataPacket.IDENTIFIER)) {
            return no("It is no ACN packet.");
        }
        if (buffer.getInt(18) != DataPacket.ROOT_DATA || buffer.getInt(40) != DataPacket.FRAMING_DATA) {
            return no("It is no data packet: vectors %d and %d.".formatted(buffer.getInt(18), buffer.getInt(40)));
        }
        if ((bytes[DMP_AT + 2] & 0xFF) != DataPacket.SET_PROPERTY
                || (bytes[DMP_AT + 3] & 0xFF) != DataPacket.ADDRESS_TYPE
                || buffer.getShort(DMP_AT + 4) != 0
                || buffer.getShort(DMP_AT + 6) != 1) {
            return no("It does not set slots one after the other.");
        }
        int count = buffer.getShort(DMP_AT + 8) & 0xFFFF;
        if (count < 1 || count > Mode.MAX_SLOTS + 1 || START_CODE_AT + count > bytes.length) {
            return no("It says that %d values follow, and %d do.".formatted(count, bytes.length - START_CODE_AT));
        }
        if (bytes[START_CODE_AT] != 0) {
            return no("Its start code is %d; light has 0.".formatted(bytes[START_CODE_AT] & 0xFF));
        }
        int options = bytes[112] & 0xFF;
        try {
            return new PacketReading(
                    Optional.of(new DataPacket(
                            new UUID(buffer.getLong(22), buffer.getLong(30)),
                            name(bytes),
                            buffer.getShort(113) & 0xFFFF,
                            bytes[108] & 0xFF,
                            bytes[111] & 0xFF,
                            (options & DataPacket.PREVIEW) != 0,
                            (options & DataPacket.TERMINATED) != 0,
                            Frame.received(bytes, DataPacket.SLOTS_AT, count - 1))),
                    "");
        } catch (IllegalArgumentException e) {
            return no(String.valueOf(e.getMessage()));
        }
    }

    private static String name(byte[] bytes) {
        int from = 44;
        int to = from;
        while (to < from + DataPacket.NAME_BYTES && bytes[to] != 0) {
            to++;
        }
        return new String(bytes, from, to - from, StandardCharsets.UTF_8);
    }

    private static PacketReading no(String problem) {
        return new PacketReading(Optional.empty(), problem);
    }
}
