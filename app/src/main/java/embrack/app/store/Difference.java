package embrack.app.store;

import com.github.luben.zstd.Zstd;
import com.github.luben.zstd.ZstdCompressCtx;
import com.github.luben.zstd.ZstdDecompressCtx;
import com.github.luben.zstd.ZstdException;

/**
 * Documents packed small: whole, or as what differs from another one. A difference is the document compressed with the
 * other as its dictionary, so that all that both share costs a few bytes; a checksum of the document is in it.
 *
 * <p>Source of the format: Zstandard Compression and the application/zstd Media Type (RFC 8878).
 */
final class Difference {

    private static final int LEVEL = 9;
    private static final int SMALLEST_WINDOW = 10;
    private static final int LARGEST_WINDOW = 27;
    private static final byte[] NOTHING = {};

    private Difference() {}

    /** A document packed by itself. */
    static byte[] pack(byte[] document) {
        return between(NOTHING, document);
    }

    /**
     * The document that was packed by itself.
     *
     * @throws IllegalArgumentException when the bytes are not as they were written
     */
    static byte[] unpack(byte[] packed) {
        return apply(NOTHING, packed);
    }

    /** What makes one document of another. */
    static byte[] between(byte[] before, byte[] after) {
        try (var packer = new ZstdCompressCtx()) {
            packer.setLevel(LEVEL).setChecksum(true).setContentSize(true);
            // The window has to reach back over the whole of both, whatever the level would choose.
            packer.setWindowLog(window(before.length + (long) after.length));
            if (before.length > 0) {
                packer.loadDict(before);
            }
            return packer.compress(after);
        }
    }

    /**
     * The document that a difference makes of another.
     *
     * @throws IllegalArgumentException when the difference, or the other document, is not the one that was written
     */
    static byte[] apply(byte[] before, byte[] difference) {
        long size = Zstd.getFrameContentSize(difference);
        if (size < 0 || size > Integer.MAX_VALUE - 8) {
            throw new IllegalArgumentException("these %d bytes are no packed document".formatted(difference.length));
        }
        try (var unpacker = new ZstdDecompressCtx()) {
            if (before.length > 0) {
                unpacker.loadDict(before);
            }
            return unpacker.decompress(difference, (int) size);
        } catch (ZstdException e) {
            throw new IllegalArgumentException("this packed document is damaged: " + e.getMessage(), e);
        }
    }

    private static int window(long reach) {
        return Math.clamp(64 - Long.numberOfLeadingZeros(reach), SMALLEST_WINDOW, LARGEST_WINDOW);
    }
}
