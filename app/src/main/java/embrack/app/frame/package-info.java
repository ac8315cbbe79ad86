/** What all pages share: the rail of rooms, the top line, typed text that came back, calm error pages. */
@NullMarked
package embrack.app.frame;

import org.jspecify.annotations.NullMarked;
