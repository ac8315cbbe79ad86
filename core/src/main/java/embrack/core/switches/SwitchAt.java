package embrack.core.switches;

import embrack.core.gear.ControlType;
import embrack.core.name.Slug;
import embrack.core.rig.DeviceId;
import java.util.Comparator;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Where a switch is, or a pad, key or button that is pressed like one.
 *
 * @param board the box it is on
 * @param of the pads, keys or buttons that it is one of; empty for the switches of a board
 * @param bank the bank, counted from 1 in the order in which the board has them
 * @param number among the switches, or those of its type, counted from 1 as it is printed beside it
 */
public record SwitchAt(DeviceId board, Optional<ControlType> of, int bank, int number) implements Comparable<SwitchAt> {

    private static final Comparator<SwitchAt> ORDER = Comparator.comparing(SwitchAt::board)
            .thenComparingInt(SwitchAt::bank)
            .thenComparing(at -> at.of().map(ControlType::ordinal).orElse(-1))
            .thenComparingInt(SwitchAt::number);

    private static final Pattern KEY =
            Pattern.compile("(" + Slug.PATTERN + ")\\.([1-9]\\d{0,2})\\.([a-z]*)([1-9]\\d{0,2})");

    public SwitchAt {
        if (bank < 1) {
            throw new IllegalArgumentException("banks are counted from 1, was " + bank);
        }
        if (number < 1) {
            throw new IllegalArgumentException("switches are counted from 1, was " + number);
        }
        if (of.filter(ControlType::isSwept).isPresent()) {
            throw new IllegalArgumentException(of.get().plural() + " are moved, not pressed");
        }
    }

    /** A switch of a board. */
    public SwitchAt(DeviceId board, int bank, int number) {
        this(board, Optional.empty(), bank, number);
    }

    /** The switch that {@link #key()} wrote; empty when it is none. */
    public static Optional<SwitchAt> parse(String key) {
        Matcher matcher = KEY.matcher(key);
        if (!matcher.matches()) {
            return Optional.empty();
        }
        Optional<ControlType> of =
                Optional.of(matcher.group(3)).filter(type -> !type.isEmpty()).flatMap(SwitchAt::pressed);
        return of.isEmpty() && !matcher.group(3).isEmpty()
                ? Optional.empty()
                : Optional.of(new SwitchAt(
                        new DeviceId(matcher.group(1)),
                        of,
                        Integer.parseInt(matcher.group(2)),
                        Integer.parseInt(matcher.group(4))));
    }

    private static Optional<ControlType> pressed(String key) {
        return Stream.of(ControlType.values())
                .filter(type -> !type.isSwept() && type.key().equals(key))
                .findFirst();
    }

    /** The switch in one word for links and forms: {@code quay-board.1.3}, {@code keys.1.pad3}. */
    public String key() {
        return "%s.%d.%s".formatted(board, bank, place());
    }

    /** Which one of its bank, in one word: {@code 3}, {@code pad3}. */
    public String place() {
        return of.map(ControlType::key).orElse("") + number;
    }

    /** The switch as it is said on its box: "switch 3", "pad 3". */
    public String words() {
        return what() + " " + number;
    }

    /** What it is: "switch", "pad". */
    public String what() {
        return of.map(ControlType::words).orElse("switch");
    }

    /** Another of the same sort and bank. */
    public SwitchAt numbered(int other) {
        return new SwitchAt(board, of, bank, other);
    }

    /** The one at the same place in another bank. */
    public SwitchAt inBank(int other) {
        return new SwitchAt(board, of, other, number);
    }

    /** The one at the same place on another box. */
    public SwitchAt on(DeviceId other) {
        return new SwitchAt(other, of, bank, number);
    }

    @Override
    public int compareTo(SwitchAt other) {
        return ORDER.compare(this, other);
    }
}
