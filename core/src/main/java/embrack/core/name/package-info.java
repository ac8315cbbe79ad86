/**
 * How things are named and said: the tape label that every device, switch and strip wears, the identifiers inside a
 * plan, and how words are put together in a sentence.
 */
@NullMarked
package embrack.core.name;

import org.jspecify.annotations.NullMarked;
