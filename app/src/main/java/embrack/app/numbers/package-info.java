/** The number pad: any number by all conventions. */
@NullMarked
package embrack.app.numbers;

import org.jspecify.annotations.NullMarked;
