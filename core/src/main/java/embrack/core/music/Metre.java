package embrack.core.music;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A metre: 4/4, 7/8.
 *
 * @param beats in a bar, 1 to 32
 * @param unit the note that is one beat: 2, 4, 8 or 16
 */
public record Metre(int beats, int unit) {

    public static final Metre COMMON = new Metre(4, 4);

    private static final Pattern FORM = Pattern.compile("\\s*(\\d{1,2})\\s*/\\s*(\\d{1,2})\\s*");

    public Metre {
        if (beats < 1 || beats > 32 || unit != 2 && unit != 4 && unit != 8 && unit != 16) {
            throw new IllegalArgumentException(
                    "A metre is 1 to 32 beats of a 2nd, 4th, 8th or 16th note, was %d/%d.".formatted(beats, unit));
        }
    }

    /**
     * The metre that a person typed.
     *
     * @throws IllegalArgumentException with a sentence for the person when it is none
     */
    public static Metre parse(String typed) {
        Matcher matcher = FORM.matcher(typed);
        if (!matcher.matches()) {
            throw new IllegalArgumentException("Write a metre such as 4/4 or 7/8.");
        }
        return new Metre(Integer.parseInt(matcher.group(1)), Integer.parseInt(matcher.group(2)));
    }

    /** Length of a beat, in ticks. */
    public int ticksPerBeat() {
        return 4 * Position.TICKS_PER_QUARTER / unit;
    }

    /** Length of a bar, in ticks. */
    public int ticksPerBar() {
        return beats * ticksPerBeat();
    }

    @Override
    public String toString() {
        return beats + "/" + unit;
    }
}
