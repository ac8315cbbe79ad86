package embrack.core.switches;

import embrack.core.rig.DeviceId;
import java.util.Comparator;

/**
 * Where a switch is.
 *
 * @param board the board it is on
 * @param bank the bank, counted from 1 in the order in which the board has them
 * @param number the switch, counted from 1 as it is printed beside it
 */
public record SwitchAt(DeviceId board, int bank, int number) implements Comparable<SwitchAt> {

    private static final Comparator<SwitchAt> ORDER = Comparator.comparing(SwitchAt::board)
            .thenComparingInt(SwitchAt::bank).thenComparingInt(SwitchAt::number);

    public SwitchAt {
        if (bank < 1) {
            throw new IllegalArgumentException("banks are counted from 1, was " + bank);
        }
        if (number < 1) {
            throw new IllegalArgumentException("switches are counted from 1, was " + number);
        }
    }

    @Override
    public int compareTo(SwitchAt other) {
        return ORDER.compare(this, other);
    }
}
