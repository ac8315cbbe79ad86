/** The models that ship, each as the texts that describe it; a newcomer's examples of how a box is described. */
@NullMarked
package embrack.core.gear.library;

import org.jspecify.annotations.NullMarked;
