/** People: signing in, joining, who belongs to a crew and what they are in it, one's own account. */
@NullMarked
package embrack.app.crew;

import org.jspecify.annotations.NullMarked;
