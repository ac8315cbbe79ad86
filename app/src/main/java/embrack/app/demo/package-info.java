/** Loads the demo rig once. */
@NullMarked
package embrack.app.demo;

import org.jspecify.annotations.NullMarked;
