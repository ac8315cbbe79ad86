/** What is seen on the stage while a song goes: which look, and how often the picture flashes. */
@NullMarked
package embrack.core.stage;

import org.jspecify.annotations.NullMarked;
