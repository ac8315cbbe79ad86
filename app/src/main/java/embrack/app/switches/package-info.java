/** The switches room: what each switch does, what it sends, whether that is proven, and trying it. */
@NullMarked
package embrack.app.switches;

import org.jspecify.annotations.NullMarked;
