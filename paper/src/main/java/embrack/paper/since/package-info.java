/** What changed of a folder since it was printed. */
@NullMarked
package embrack.paper.since;

import org.jspecify.annotations.NullMarked;
