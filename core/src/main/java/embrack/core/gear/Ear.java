package embrack.core.gear;

import java.util.Locale;

/** Who hears what comes to an end. */
public enum Ear {
    HOUSE("house"),
    IN_EARS("in-ears"),
    WEDGE("wedge"),
    STREAM("stream"),
    RECORDING("recording");

    private final String words;

    Ear(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** As a word in a class or a file: {@code in-ears}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether others than those who play hear it: the audience, the first rows, whoever watches elsewhere. */
    public boolean isOpen() {
        return this == HOUSE || this == WEDGE || this == STREAM;
    }
}
