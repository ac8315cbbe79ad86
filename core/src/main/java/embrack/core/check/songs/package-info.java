/** Rules about songs and their cues. */
@NullMarked
package embrack.core.check.songs;

import org.jspecify.annotations.NullMarked;
