/** Types of fixtures as files of the General Device Type Format (GDTF, DIN SPEC 15800), read and written. */
@NullMarked
package embrack.files.gdtf;

import org.jspecify.annotations.NullMarked;
