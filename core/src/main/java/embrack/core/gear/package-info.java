/**
 * Gear: what a box is. A {@link embrack.core.gear.Model} has ports, controls, parts whose state can change, settings, a
 * chart (which message makes the box do what, as its manual says) and reactions (what the box really does when a message
 * arrives). Also the tape label, the one way in which everything in a rig is named.
 */
@NullMarked
package embrack.core.gear;

import org.jspecify.annotations.NullMarked;
