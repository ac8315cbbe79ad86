/** Where things are drawn: boxes and lines of a rig, laid out. */
@NullMarked
package embrack.paper.drawing;

import org.jspecify.annotations.NullMarked;
