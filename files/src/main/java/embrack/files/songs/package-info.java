/** Cue lists and orders as CSV and iCalendar. */
@NullMarked
package embrack.files.songs;

import org.jspecify.annotations.NullMarked;
