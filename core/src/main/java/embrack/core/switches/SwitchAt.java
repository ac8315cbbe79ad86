package embrack.core.switches;

import embrack.core.name.Slug;
import embrack.core.rig.DeviceId;
import java.util.Comparator;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where a switch is.
 *
 * @param board the board it is on
 * @param bank the bank, counted from 1 in the order in which the board has them
 * @param number the switch, counted from 1 as it is printed beside it
 */
public record SwitchAt(DeviceId board, int bank, int number) implements Comparable<SwitchAt> {

    private static final Comparator<SwitchAt> ORDER = Comparator.comparing(SwitchAt::board)
            .thenComparingInt(SwitchAt::bank)
            .thenComparingInt(SwitchAt::number);

    private static final Pattern KEY = Pattern.compile("(" + Slug.PATTERN + ")\\.([1-9]\\d{0,2})\\.([1-9]\\d{0,2})");

    public SwitchAt {
        if (bank < 1) {
            throw new IllegalArgumentException("banks are counted from 1, was " + bank);
        }
        if (number < 1) {
            throw new IllegalArgumentException("switches are counted from 1, was " + number);
        }
    }

    /** The switch that {@link #key()} wrote; empty when it is none. */
    public static Optional<SwitchAt> parse(String key) {
        Matcher matcher = KEY.matcher(key);
        return matcher.matches()
                ? Optional.of(new SwitchAt(
                        new DeviceId(matcher.group(1)),
                        Integer.parseInt(matcher.group(2)),
                        Integer.parseInt(matcher.group(3))))
                : Optional.empty();
    }

    /** The switch in one word for links and forms: {@code quay-board.1.3}. */
    public String key() {
        return "%s.%d.%d".formatted(board, bank, number);
    }

    @Override
    public int compareTo(SwitchAt other) {
        return ORDER.compare(this, other);
    }
}
