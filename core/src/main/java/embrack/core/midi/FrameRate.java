package embrack.core.midi;

/**
 * Rates of time code.
 *
 * <p>Source: MIDI Time Code (MMA/AMEI RP-004/008): the two rate bits; SMPTE ST 12-1 (formerly 12M) for counting.
 */
public enum FrameRate {
    FPS_24(24, "24"),
    FPS_25(25, "25"),
    FPS_29_97_DROP(30, "29.97 drop"),
    FPS_30(30, "30");

    private final int counted;
    private final String words;

    FrameRate(int counted, String words) {
        this.counted = counted;
        this.words = words;
    }

    /** The frames that a second is counted to hold: 24, 25 or 30. */
    public int counted() {
        return counted;
    }

    /** The rate as players say it: "29.97 drop". */
    public String words() {
        return words;
    }

    /** Frames in a second of real time: 24, 25, 30000/1001 or 30. */
    public double framesPerSecond() {
        return this == FPS_29_97_DROP ? 30_000 / 1001.0 : counted;
    }

    /** The two bits that name it on the wire, 0 to 3. */
    int bits() {
        return ordinal();
    }

    static FrameRate ofBits(int bits) {
        return values()[bits & 3];
    }

    /**
     * The length of so many frames in microseconds, rounded to the nearest; at 29.97 drop a second holds 30000/1001.
     */
    public long micros(long frames) {
        return this == FPS_29_97_DROP ? Math.round(frames * 1001 * 1e6 / 30_000) : Math.round(frames * 1e6 / counted);
    }
}
