/** Reading and writing JSON so that every mistake is told with its place. */
@NullMarked
package embrack.files.json;

import org.jspecify.annotations.NullMarked;
