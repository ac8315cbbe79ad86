/** What goes on in the hour of a show, as states that follow from what is done: lights that obey messages. */
@NullMarked
package embrack.core.live;

import org.jspecify.annotations.NullMarked;
