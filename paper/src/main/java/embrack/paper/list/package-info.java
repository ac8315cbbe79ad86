/** The parts of a folder as lists for other programs. */
@NullMarked
package embrack.paper.list;

import org.jspecify.annotations.NullMarked;
