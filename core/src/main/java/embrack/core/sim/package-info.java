/**
 * Simulation and proof. The ideal rig obeys every step at once; the actual rig gets messages along its cables and reads
 * each as its boxes do. Where the two end up the same, after every press, the switch is proven.
 */
@NullMarked
package embrack.core.sim;

import org.jspecify.annotations.NullMarked;
