/** The line check room: what the real gear sends held against the plan, and boxes that are there when no gear is. */
@NullMarked
package embrack.app.line;

import org.jspecify.annotations.NullMarked;
