/** The command that checks a plan file without a database or a server. */
@NullMarked
package embrack.files.check;

import org.jspecify.annotations.NullMarked;
