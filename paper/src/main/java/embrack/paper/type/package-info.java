/** How things are set on paper: papers, margins, sizes of type, how wide texts are. */
@NullMarked
package embrack.paper.type;

import org.jspecify.annotations.NullMarked;
