/** Models of gear as JSON, on their own and inside a plan, as docs/formats.md describes them. */
@NullMarked
package embrack.files.model;

import org.jspecify.annotations.NullMarked;
