/** The plan file: JSON in and out, as docs/formats.md describes it. */
@NullMarked
package embrack.files.plan;

import org.jspecify.annotations.NullMarked;
