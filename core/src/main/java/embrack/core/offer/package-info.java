/**
 * What can be offered: actions found by words, switches that are still blank, what a song lets people do on the night.
 */
@NullMarked
package embrack.core.offer;

import org.jspecify.annotations.NullMarked;
