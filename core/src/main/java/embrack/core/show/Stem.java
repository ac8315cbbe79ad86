package embrack.core.show;

import embrack.core.name.TapeLabel;
import java.util.Optional;

/**
 * One of the recorded tracks of a song.
 *
 * @param player the part that is muted for when somebody plays it live: "Drums"
 * @param decibels how loud it is against how it was recorded, −60 to 12 dB; 0 for as it was
 */
public record Stem(TapeLabel name, StemSort sort, Optional<TapeLabel> player, double decibels) {

    private static final double LOWEST = -60;
    private static final double HIGHEST = 12;

    public Stem {
        if (!(decibels >= LOWEST && decibels <= HIGHEST)) {
            throw new IllegalArgumentException("A stem is \u221260 to 12 dB, was %s dB.".formatted(decibels));
        }
        decibels = decibels == 0 ? 0 : decibels;
    }

    /** A stem as loud as it was recorded. */
    public Stem(TapeLabel name, StemSort sort, Optional<TapeLabel> player) {
        this(name, sort, player, 0);
    }

    /** Its level as people write it: "−3 dB"; empty for as it was recorded. */
    public String level() {
        return decibels == 0
                ? ""
                : "%s dB".formatted(decibels == Math.rint(decibels) ? (Object) (int) decibels : decibels);
    }
}
