/**
 * The text of a box: sockets, switches and other controls, settings, memories, habits and power, as a person types them
 * from a manual; read with line and column of every mistake, and written again.
 */
@NullMarked
package embrack.core.gear.text;

import org.jspecify.annotations.NullMarked;
