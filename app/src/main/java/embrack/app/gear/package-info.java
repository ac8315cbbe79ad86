/** The gear room: the boxes, what they are called and how they are set. */
@NullMarked
package embrack.app.gear;

import org.jspecify.annotations.NullMarked;
