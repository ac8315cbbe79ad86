package embrack.core.gear;

import embrack.core.name.Words;
import java.util.Collections;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What a box runs from.
 *
 * @param sources at least one
 * @param milliamps what it draws at 5 V from USB, or at its supply's voltage, 1 to 20000; 0 when it is not known
 * @param startSeconds how long it takes from being switched on until it obeys, in s, 0 to 600
 * @param batteryHours how long it lasts on full batteries, in h, 0 to 1000; 0 when it is not known
 */
public record Power(SortedSet<Source> sources, int milliamps, int startSeconds, int batteryHours) {

    /** Where power comes from. */
    public enum Source {
        USB("USB"),
        SUPPLY("a supply of its own"),
        BATTERY("batteries"),
        MAINS("mains");

        private final String words;

        Source(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** The most that a USB 2 port gives, in milliamps. Source: USB 2.0 Specification, 7.2.1. */
    public static final int USB_2_PORT = 500;

    /** The most that a USB 3 port gives, in milliamps. Source: USB 3.2 Specification, 11.4.1. */
    public static final int USB_3_PORT = 900;

    public Power {
        sources = Collections.unmodifiableSortedSet(new TreeSet<>(sources));
        if (sources.isEmpty()) {
            throw new IllegalArgumentException("a box runs from something");
        }
        if (milliamps < 0 || milliamps > 20_000) {
            throw new IllegalArgumentException("a box draws 0 to 20000 mA, was " + milliamps);
        }
        if (startSeconds < 0 || startSeconds > 600) {
            throw new IllegalArgumentException("a box starts in 0 to 600 s, was " + startSeconds);
        }
        if (batteryHours < 0 || batteryHours > 1_000) {
            throw new IllegalArgumentException("batteries last 0 to 1000 h, was " + batteryHours);
        }
        if (batteryHours > 0 && !sources.contains(Source.BATTERY)) {
            throw new IllegalArgumentException("batteries last, and the box runs from none");
        }
    }

    /** In words: "USB or batteries, 120 mA". */
    public String words() {
        return Words.list(sources.stream().map(Source::words).toList()).replace(" and ", " or ")
                + (milliamps == 0 ? "" : ", " + milliamps + " mA")
                + (startSeconds == 0 ? "" : ", starts in %d s".formatted(startSeconds))
                + (batteryHours == 0 ? "" : ", lasts %d h".formatted(batteryHours));
    }
}
