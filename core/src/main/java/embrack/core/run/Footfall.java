package embrack.core.run;

import embrack.core.switches.SwitchAt;

/**
 * A press that somebody has to make.
 *
 * @param why what it is for
 * @param part in which part of the order, from 0
 * @param cue the cue of its song, for one that is; else 0
 * @param due when it is to be made, microseconds of the run
 * @param pressed when it was; -1 while it was not
 * @param missed whether it was given up
 * @param meant whether what it does counts as done
 */
public record Footfall(SwitchAt at, Why why, int part, int cue, long due, long pressed, boolean missed, boolean meant) {

    /** How long before its time a press is taken for it, and how long after it is waited for, 4 and 8 s. */
    static final long EARLY_MICROS = 4_000_000;

    static final long LATE_MICROS = 8_000_000;

    /** What presses are for. */
    public enum Why {
        ARM,
        START,
        CUE,
        END
    }

    static Footfall due(SwitchAt at, Why why, int part, int cue, long when) {
        return new Footfall(at, why, part, cue, when, -1, false, false);
    }

    /** Whether it still waits for somebody. */
    public boolean isOpen() {
        return pressed < 0 && !missed;
    }

    Footfall pressedAt(long when) {
        return new Footfall(at, why, part, cue, due, when, missed, true);
    }

    Footfall asMeant() {
        return new Footfall(at, why, part, cue, due, pressed, missed, true);
    }

    Footfall givenUp() {
        return new Footfall(at, why, part, cue, due, pressed, true, true);
    }

    /** How much later than due it came, microseconds; negative when it was early; 0 while it did not. */
    public long lateMicros() {
        return pressed < 0 ? 0 : pressed - due;
    }
}
