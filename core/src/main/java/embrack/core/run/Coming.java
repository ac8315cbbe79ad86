package embrack.core.run;

import embrack.core.switches.SwitchAt;
import java.util.OptionalLong;

/**
 * A press that comes next.
 *
 * @param part in which part of the order, from 0
 * @param inMicros how long until then, microseconds, if all goes on as it does; empty where nobody knows
 * @param songMicros when in its song, microseconds from bar 1; empty for one outside of songs
 */
public record Coming(SwitchAt at, Footfall.Why why, int part, OptionalLong inMicros, OptionalLong songMicros) {}
