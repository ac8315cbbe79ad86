/** The wiring room: which socket is cabled to which, as a picture and as a list. */
@NullMarked
package embrack.app.wiring;

import org.jspecify.annotations.NullMarked;
