/** Rules about who hears what. */
@NullMarked
package embrack.core.check.sound;

import org.jspecify.annotations.NullMarked;
