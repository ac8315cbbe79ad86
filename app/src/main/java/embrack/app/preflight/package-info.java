/** The preflight room: all findings and proofs, and the sheets to print. */
@NullMarked
package embrack.app.preflight;

import org.jspecify.annotations.NullMarked;
