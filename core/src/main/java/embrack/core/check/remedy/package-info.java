/** What may mend findings of several rules: other hardware, numbers and channels, ways that are opened or shut. */
@NullMarked
package embrack.core.check.remedy;

import org.jspecify.annotations.NullMarked;
