package embrack.core.switches;

import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.level.Law;
import embrack.core.level.Range;
import embrack.core.rig.DeviceId;
import java.util.Optional;

/**
 * A level that a treadle, fader or knob moves.
 *
 * @param part of the device: what has the level
 * @param range what a whole movement does
 * @param law what the numbers stand for
 * @param topDecibels what the device's highest level is, in dB; ignored for percent
 * @param capDecibels what must never be passed, in dB; empty for no cap
 */
public record Target(
        DeviceId device, PartId part, Range range, Law law, int topDecibels, Optional<Integer> capDecibels) {

    /** No box has more above unity. */
    public static final int MAX_DECIBELS = 24;

    public Target {
        if (Math.abs(topDecibels) > MAX_DECIBELS) {
            throw new IllegalArgumentException("the top of a level is \u221224 to 24 dB, was " + topDecibels);
        }
    }

    /** A level moved over its whole range, in dB with the top at 0. */
    public Target(DeviceId device, PartId part) {
        this(device, part, Range.FULL, Law.DECIBELS, 0, Optional.empty());
    }

    /** The highest value that the cap allows, 0 to 127. */
    public int cap() {
        return capDecibels
                .filter(cap -> law.isInDecibels())
                .map(cap -> law.valueAtMost(cap, topDecibels))
                .orElse(127);
    }

    /** What is meant to happen at a position, 0 to 127: the range, and never above the cap. */
    public Action at(int position) {
        return new Action(Verb.LEVEL, part, Optional.of(Math.min(range.at(position), cap())));
    }

    /** What is programmed: with a cap, the range ends there. */
    public Range programmed() {
        return range.capped(cap());
    }

    /** Whether the range alone would pass unity, 0 dB. */
    public boolean isAboveUnity() {
        return law.isInDecibels()
                && programmed().highest() > 0
                && law.decibels(programmed().highest(), topDecibels) > 0;
    }

    /** A level in the law's own words. */
    public String shown(int value) {
        return law.shown(value, topDecibels);
    }

    /** The same level, counted otherwise. */
    public Target countedBy(Law other, int top) {
        return new Target(device, part, range, other, top, capDecibels);
    }

    /** Another level of the same device, moved alike. */
    public Target of(PartId other) {
        return new Target(device, other, range, law, topDecibels, capDecibels);
    }

    public Target withRange(Range other) {
        return new Target(device, part, other, law, topDecibels, capDecibels);
    }
}
