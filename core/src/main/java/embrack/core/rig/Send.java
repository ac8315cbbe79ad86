package embrack.core.rig;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How much of one thing is in another.
 *
 * @param tenths tenths of a decibel, −800 to 200; ignored where it is shut
 */
public record Send(boolean open, int tenths) {

    /** As it came. */
    public static final Send UNITY = new Send(true, 0);

    /** Nothing passes. */
    public static final Send SHUT = new Send(false, 0);

    private static final int LOWEST = -800;
    private static final int HIGHEST = 200;
    private static final Pattern TEXT = Pattern.compile("([-+]?\\d{1,3}(?:[.,]\\d)?) ?(?:db)?");

    public Send {
        tenths = open ? tenths : 0;
        if (tenths < LOWEST || tenths > HIGHEST) {
            throw new IllegalArgumentException(
                    "A send is \u221280 to 20 dB, or off; was %s dB.".formatted(tenths / 10.0));
        }
    }

    /**
     * Reads what people type: "-6", "+3.5 dB", "off".
     *
     * @throws IllegalArgumentException with a sentence
     */
    public static Send parse(String typed) {
        String text = typed.strip().toLowerCase(Locale.ROOT).replace('\u2212', '-');
        if (text.isEmpty() || text.equals("off")) {
            return SHUT;
        }
        Matcher matcher = TEXT.matcher(text);
        if (!matcher.matches()) {
            throw new IllegalArgumentException("Write decibels, such as 0 or \u22126, or off.");
        }
        return new Send(true, (int)
                Math.round(Double.parseDouble(matcher.group(1).replace(',', '.')) * 10));
    }

    /** In decibels; minus infinity where it is shut. */
    public double decibels() {
        return open ? tenths / 10.0 : Double.NEGATIVE_INFINITY;
    }

    /** As it is typed: "−6", "off". */
    public String words() {
        return !open
                ? "off"
                : (tenths % 10 == 0 ? String.valueOf(tenths / 10) : String.valueOf(tenths / 10.0))
                        .replace('-', '\u2212');
    }
}
