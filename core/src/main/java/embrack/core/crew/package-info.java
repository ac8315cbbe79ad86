/** People who share rigs: what each may do, and what a password has to be. */
@NullMarked
package embrack.core.crew;

import org.jspecify.annotations.NullMarked;
