package embrack.core.switches;

import embrack.core.gear.Gesture;
import java.util.Locale;

/** When a switch does something. */
public enum Moment {
    PRESS("press", Gesture.PRESS),
    /** Every second press, of a switch that alternates. */
    AGAIN("second press", Gesture.PRESS),
    RELEASE("release", Gesture.RELEASE),
    HOLD("hold", Gesture.HOLD),
    DOUBLE_PRESS("double press", Gesture.DOUBLE_PRESS);

    private final String words;
    private final Gesture gesture;

    Moment(String words, Gesture gesture) {
        this.words = words;
        this.gesture = gesture;
    }

    /** The moment in a sentence: "second press". */
    public String words() {
        return words;
    }

    /** What a board has to tell apart for it. */
    public Gesture gesture() {
        return gesture;
    }

    /** The moment in links and files: {@code double-press}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * The moment that {@link #key()} wrote.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static Moment parse(String key) {
        for (Moment moment : values()) {
            if (moment.key().equals(key)) {
                return moment;
            }
        }
        throw new IllegalArgumentException(
                "\"%s\" is none of press, again, release, hold, double-press".formatted(key));
    }
}
