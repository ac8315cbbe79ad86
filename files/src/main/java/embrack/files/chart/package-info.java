/** Charts as CSV, both ways, as docs/formats.md describes it. */
@NullMarked
package embrack.files.chart;

import org.jspecify.annotations.NullMarked;
