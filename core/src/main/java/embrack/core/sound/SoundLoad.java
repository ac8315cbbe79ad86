package embrack.core.sound;

/** What sound needs of a link that carries it as numbers. */
public final class SoundLoad {

    private SoundLoad() {}

    /**
     * Bits a second, without what the link itself adds: 36 864 000 for 32 channels of 24 bits at 48 kHz.
     *
     * @param channels 0 or more
     * @param hertz samples a second
     * @param bits of a sample
     */
    public static long bits(int channels, int hertz, int bits) {
        return (long) channels * hertz * bits;
    }
}
