/** What is printed and taken to the boxes, as data: what to set and program where, in the order to do it. */
@NullMarked
package embrack.core.sheet;

import org.jspecify.annotations.NullMarked;
