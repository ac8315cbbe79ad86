/**
 * The line check: what the real gear sends, held against the plan. What comes in is kept as it came ({@link
 * embrack.core.line.Came}); what is wrong with a box is found out anew from all of it ({@link
 * embrack.core.line.Inspection}), so that a plan that is changed meanwhile is asked, not what was once said of it.
 */
@NullMarked
package embrack.core.line;

import org.jspecify.annotations.NullMarked;
