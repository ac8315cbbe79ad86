/**
 * Colours of light: places in the CIE picture, how a screen shows them, how far two are apart, what people call them,
 * and how the emitters of a lamp are mixed to one.
 */
@NullMarked
package embrack.core.colour;

import org.jspecify.annotations.NullMarked;
