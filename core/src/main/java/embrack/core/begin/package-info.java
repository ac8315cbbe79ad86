/** Ways of working to begin a rig from: their boxes, joined, with all that they have to be set to. */
@NullMarked
package embrack.core.begin;

import org.jspecify.annotations.NullMarked;
