package embrack.core.midi;

import java.util.HexFormat;
import java.util.Optional;

/**
 * Who a box says that it is when it is asked.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, "Device Inquiry": F0 7E device 06 01 F7 asks; F0 7E device 06 02, the
 * maker's number (one byte, or 00 and two), two bytes family and two bytes member with the lower one first, four bytes
 * version, F7 answers.
 *
 * @param maker the maker's number: one byte, 1 to 127 (125 is for nobody's own use), or three bytes as one number
 * @param family 0 to 16383
 * @param member of the family, 0 to 16383
 * @param version four bytes in hexadecimal, as the maker means them
 */
public record Identity(int maker, int family, int member, String version) {

    /** Asks whoever hears it who he is. */
    public static final SystemExclusive REQUEST = SystemExclusive.of(SystemExclusive.NOT_REAL_TIME, 0x7F, 0x06, 0x01);

    /** The number that belongs to no maker: for schools and for what is not sold. */
    public static final int NOBODY = 0x7D;

    private static final int LONG_MAKER = 3;
    private static final int REST = 8;

    /** Who answers in a message; empty when it is no such answer. */
    public static Optional<Identity> of(Message message) {
        if (!(message instanceof SystemExclusive answer)
                || answer.at(0) != SystemExclusive.NOT_REAL_TIME
                || answer.at(2) != 0x06
                || answer.at(3) != 0x02) {
            return Optional.empty();
        }
        byte[] content = answer.content();
        boolean isLong = content.length > 4 && content[4] == 0;
        int at = 4 + (isLong ? LONG_MAKER : 1);
        if (content.length != at + REST) {
            return Optional.empty();
        }
        return Optional.of(new Identity(
                isLong ? content[5] << 8 | content[6] : content[4],
                content[at] | content[at + 1] << 7,
                content[at + 2] | content[at + 3] << 7,
                HexFormat.ofDelimiter(" ").formatHex(content, at + 4, content.length)));
    }

    /** The answer of a box that belongs to no maker. */
    public static SystemExclusive answer(int family, int member, int version) {
        DataByte.checked("version", version);
        return SystemExclusive.of(
                SystemExclusive.NOT_REAL_TIME,
                0x7F,
                0x06,
                0x02,
                NOBODY,
                family & 0x7F,
                family >> 7 & 0x7F,
                member & 0x7F,
                member >> 7 & 0x7F,
                version,
                0,
                0,
                0);
    }
}
