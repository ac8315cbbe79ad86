/** The songs room: the list of songs, how each goes, its prompt page, capture, cue sheets. */
@NullMarked
package embrack.app.songs;

import org.jspecify.annotations.NullMarked;
