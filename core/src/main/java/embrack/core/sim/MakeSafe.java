package embrack.core.sim;

import embrack.core.proof.Broken;
import embrack.core.switches.SwitchAt;
import java.math.BigInteger;
import java.util.Optional;

/**
 * Whether one press of a switch makes the rig safe, or stops all that plays, from wherever it may be.
 *
 * @param parts how many parts it brings into the state that was meant
 * @param states from how many states of these parts, whatever was pressed before
 * @param whole whether these are all; else that many were tried
 * @param verdict what is said of it: exact or tried, else that of its press
 * @param broken the shortest story in which it does not; empty when there is none
 */
public record MakeSafe(
        SwitchAt at, int parts, BigInteger states, boolean whole, Verdict verdict, Optional<Broken> broken) {}
