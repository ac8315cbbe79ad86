package embrack.core.level;

/** How two sounds go over into one another while both fade. */
public enum Crossfade {
    /** Gains in proportion to time: one falls as the other rises. */
    LINEAR("linear"),
    /** The squares of the gains always add to one. */
    EQUAL_POWER("equal power");

    private final String words;

    Crossfade(String words) {
        this.words = words;
    }

    /** The law in a sentence: "equal power". */
    public String words() {
        return words;
    }

    /**
     * The gain of the sound that comes in, 0 to 1. Of the one that goes out it is the gain at {@code 1 - along}.
     *
     * @param along how much of the crossfade is over, 0 to 1
     * @throws IllegalArgumentException when it is not within
     */
    public double gain(double along) {
        if (!(along >= 0 && along <= 1)) {
            throw new IllegalArgumentException("a crossfade runs from 0 to 1, was " + along);
        }
        return this == LINEAR ? along : Math.sin(along * Math.PI / 2);
    }

    /** The sound that comes in, in dB below its full level; minus infinity at the start. */
    public double decibels(double along) {
        return 20 * Math.log10(gain(along));
    }

    /**
     * Both together in dB, of two sounds that are not alike: their powers add. Of the same sound twice the gains
     * themselves would add.
     */
    public double bothTogether(double along) {
        return 10 * Math.log10(Math.pow(gain(along), 2) + Math.pow(gain(1 - along), 2));
    }

    /** What happens in the middle, in a sentence: "linear: each is at −6.0 dB, both together at −3.0 dB". */
    public String middle() {
        return "%s: each is at %s, both together at %s"
                .formatted(words, Law.decibelWords(decibels(0.5)), Law.decibelWords(bothTogether(0.5)));
    }
}
