/** Sheets of cells as CSV (RFC 4180), as spreadsheets write them and as none of them takes harm from. */
@NullMarked
package embrack.files.csv;

import org.jspecify.annotations.NullMarked;
