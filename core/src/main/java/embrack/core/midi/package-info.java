/**
 * MIDI as it is on the cable: channels, messages, bytes, and the time they take. All conversions between the numbers
 * that boxes show and the numbers that travel live here and nowhere else.
 */
@NullMarked
package embrack.core.midi;

import org.jspecify.annotations.NullMarked;
