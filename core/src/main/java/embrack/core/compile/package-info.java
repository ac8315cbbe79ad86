/**
 * The compiler: steps become messages on their ways, or an obstacle that says why they cannot.
 */
@NullMarked
package embrack.core.compile;

import org.jspecify.annotations.NullMarked;
