/** How a song goes as a text, both ways. */
@NullMarked
package embrack.core.show.text;

import org.jspecify.annotations.NullMarked;
