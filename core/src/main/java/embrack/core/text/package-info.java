/**
 * Texts that people type line by line, such as charts: a cursor to read them with, and problems with line and column.
 */
@NullMarked
package embrack.core.text;

import org.jspecify.annotations.NullMarked;
