package embrack.core.switches;

import embrack.core.gear.ControlType;
import embrack.core.rig.DeviceId;
import java.util.Comparator;

/**
 * Where a treadle, fader or knob is.
 *
 * @param box the box it is on
 * @param bank the bank that the box is in, counted from 1; 1 on a box without banks
 * @param number counted from 1 among those of its type on the box
 */
public record ControlAt(DeviceId box, ControlType type, int bank, int number) implements Comparable<ControlAt> {

    private static final Comparator<ControlAt> ORDER = Comparator.comparing(ControlAt::box)
            .thenComparingInt(ControlAt::bank)
            .thenComparing(ControlAt::type)
            .thenComparingInt(ControlAt::number);

    public ControlAt {
        if (number < 1) {
            throw new IllegalArgumentException("controls are counted from 1, was " + number);
        }
        if (bank < 1) {
            throw new IllegalArgumentException("banks are counted from 1, was " + bank);
        }
    }

    /** The control as it is said on its box: "fader 1". */
    public String words() {
        return type.words() + " " + number;
    }

    /** The same control of another box. */
    public ControlAt on(DeviceId other) {
        return new ControlAt(other, type, bank, number);
    }

    @Override
    public int compareTo(ControlAt other) {
        return ORDER.compare(this, other);
    }
}
