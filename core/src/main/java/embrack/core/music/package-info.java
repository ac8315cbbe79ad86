/** Music and the clock: tempo maps with glides, metres, bars and beats to microseconds and back, keys. */
@NullMarked
package embrack.core.music;

import org.jspecify.annotations.NullMarked;
