package embrack.app.frame;

import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.Deflater;

/**
 * A document in pieces, packed once, that is put together with something between them without being packed again.
 *
 * <p>Source: GZIP file format (RFC 1952) and DEFLATE (RFC 1951). Each piece ends with a full flush, so that it begins
 * and ends on a byte and refers to nothing before it; what stands between two is a stored block.
 */
final class PackedPieces {

    private static final byte[] HEAD = {0x1F, (byte) 0x8B, 8, 0, 0, 0, 0, 0, 0, (byte) 0xFF};
    private static final byte[] LAST_BLOCK = {3, 0};
    private static final int LONGEST_STORED = 0xFFFF;
    private static final int BUFFER = 8_192;

    private final List<byte[]> plain;
    private final List<byte[]> packed;

    private PackedPieces(List<byte[]> plain) {
        this.plain = plain;
        var deflater = new Deflater(Deflater.DEFAULT_COMPRESSION, true);
        try {
            this.packed = plain.stream().map(piece -> deflated(deflater, piece)).toList();
        } finally {
            deflater.end();
        }
    }

    static PackedPieces of(List<byte[]> plain) {
        return new PackedPieces(List.copyOf(plain));
    }

    private int length() {
        return packed.stream().mapToInt(piece -> piece.length).sum();
    }

    /**
     * The document as a GZIP file.
     *
     * @param between stands between each two pieces, up to 65 535 bytes
     */
    byte[] with(byte[] between) {
        if (between.length > LONGEST_STORED) {
            throw new IllegalArgumentException(
                    "at most %d bytes stand between two pieces, was %d".formatted(LONGEST_STORED, between.length));
        }
        var out = new ByteArrayOutputStream(HEAD.length + length() + packed.size() * (between.length + 5) + 10);
        var sum = new CRC32();
        long size = 0;
        out.writeBytes(HEAD);
        for (int i = 0; i < packed.size(); i++) {
            if (i > 0) {
                store(out, between);
                sum.update(between);
                size += between.length;
            }
            out.writeBytes(packed.get(i));
            sum.update(plain.get(i));
            size += plain.get(i).length;
        }
        out.writeBytes(LAST_BLOCK);
        number(out, sum.getValue());
        number(out, size);
        return out.toByteArray();
    }

    private static void store(ByteArrayOutputStream out, byte[] bytes) {
        out.write(0);
        out.write(bytes.length);
        out.write(bytes.length >> 8);
        out.write(~bytes.length);
        out.write(~bytes.length >> 8);
        out.writeBytes(bytes);
    }

    private static void number(ByteArrayOutputStream out, long value) {
        for (int shift = 0; shift < 32; shift += 8) {
            out.write((int) (value >> shift));
        }
    }

    private static byte[] deflated(Deflater deflater, byte[] piece) {
        if (piece.length == 0) {
            return piece;
        }
        deflater.reset();
        var out = new ByteArrayOutputStream();
        byte[] buffer = new byte[BUFFER];
        deflater.setInput(piece);
        int length;
        do {
            length = deflater.deflate(buffer, 0, buffer.length, Deflater.FULL_FLUSH);
            out.write(buffer, 0, length);
        } while (length == buffer.length);
        return out.toByteArray();
    }
}
