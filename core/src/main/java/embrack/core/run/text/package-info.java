/** Acts of a run as texts, both ways: one line each, as they are kept. */
@NullMarked
package embrack.core.run.text;

import org.jspecify.annotations.NullMarked;
