package embrack.core.rig;

/**
 * How long messages were measured to wait at a link, beside what is worked out of their way, in microseconds. It counts
 * in the place of what would be worked out for the link.
 *
 * @param least 0 or more
 * @param usual as often as not, at least as much as {@code least}
 * @param worst at least as much as {@code usual}, at most {@link #LONGEST}
 */
public record Measured(int least, int usual, int worst) {

    /** Ten seconds: whatever takes longer is lost. */
    public static final int LONGEST = 10_000_000;

    public Measured {
        if (least < 0 || usual < least || worst < usual || worst > LONGEST) {
            throw new IllegalArgumentException(
                    "A measured time goes from 0 to 10 s: least, usual, worst, was %d, %d, %d microseconds."
                            .formatted(least, usual, worst));
        }
    }
}
