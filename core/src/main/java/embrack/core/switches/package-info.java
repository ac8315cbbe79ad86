/** What each switch of each board should do: steps, meant as actions on devices, never as numbers. */
@NullMarked
package embrack.core.switches;

import org.jspecify.annotations.NullMarked;
