/**
 * Where sound goes: from what makes it over leads and through boxes to who hears it, how loud by how everything stands,
 * how late, and what of it goes lost on the way.
 */
@NullMarked
package embrack.core.sound;

import org.jspecify.annotations.NullMarked;
