/** What all rooms share: rail, top line, typed text that came back, calm error pages, what one asks of another. */
@NullMarked
package embrack.app.frame;

import org.jspecify.annotations.NullMarked;
