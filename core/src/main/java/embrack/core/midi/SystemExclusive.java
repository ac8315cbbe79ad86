package embrack.core.midi;

import java.util.Arrays;

/**
 * A system exclusive message: what stands between 0xF0 and 0xF7.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, "System Exclusive Messages".
 */
public final class SystemExclusive implements SystemMessage {

    /** Ends the message on the wire. */
    static final int END = 0xF7;

    /** The maker's number of messages that all makers share and that are obeyed at once. */
    public static final int REAL_TIME = 0x7F;

    /** The maker's number of messages that all makers share and that need not be obeyed at once. */
    public static final int NOT_REAL_TIME = 0x7E;

    private final byte[] content;

    private SystemExclusive(byte[] content) {
        this.content = content;
    }

    /**
     * A message of these bytes, without 0xF0 and 0xF7.
     *
     * @param content each 0 to 127, at least one: the maker's number
     */
    public static SystemExclusive of(int... content) {
        byte[] bytes = new byte[content.length];
        for (int i = 0; i < content.length; i++) {
            bytes[i] = (byte) DataByte.checked("a byte of a system exclusive message", content[i]);
        }
        return of(bytes);
    }

    /** As {@link #of(int...)}. */
    public static SystemExclusive of(byte[] content) {
        if (content.length == 0) {
            throw new IllegalArgumentException("a system exclusive message holds at least the maker's number");
        }
        for (byte each : content) {
            DataByte.checked("a byte of a system exclusive message", each & 0xFF);
        }
        return new SystemExclusive(content.clone());
    }

    /** The bytes between 0xF0 and 0xF7. */
    public byte[] content() {
        return content.clone();
    }

    /** A byte of the content, 0 to 127; 128 beyond its end, which no message holds. */
    public int at(int index) {
        return index < content.length ? content[index] : DataByte.MAX + 1;
    }

    @Override
    public MessageType type() {
        return MessageType.SYSTEM_EXCLUSIVE;
    }

    @Override
    public int length() {
        return content.length + 2;
    }

    @Override
    public int write(byte[] to, int position) {
        to[position] = (byte) status();
        System.arraycopy(content, 0, to, position + 1, content.length);
        to[position + 1 + content.length] = (byte) END;
        return position + length();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof SystemExclusive that && Arrays.equals(content, that.content);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(content);
    }

    @Override
    public String toString() {
        return "SystemExclusive[" + hex() + "]";
    }
}
