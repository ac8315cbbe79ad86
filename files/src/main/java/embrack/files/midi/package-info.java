/** Standard MIDI Files, out and in. */
@NullMarked
package embrack.files.midi;

import org.jspecify.annotations.NullMarked;
