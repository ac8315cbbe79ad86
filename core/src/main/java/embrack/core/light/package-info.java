/**
 * Lights: fixtures and their slots, where they hang and which addresses they have, what looks show, and which of them a
 * desk holds where.
 */
@NullMarked
package embrack.core.light;

import org.jspecify.annotations.NullMarked;
