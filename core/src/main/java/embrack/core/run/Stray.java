package embrack.core.run;

import embrack.core.switches.SwitchAt;

/**
 * A press that nothing asked for.
 *
 * @param when microseconds of the run
 */
public record Stray(SwitchAt at, long when) {}
