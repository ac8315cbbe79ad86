/** Types of fixtures and looks as texts that people type, both ways. */
@NullMarked
package embrack.core.light.text;

import org.jspecify.annotations.NullMarked;
