/** "What can do X?": questions about models, and answers that say by what a box can or why it cannot. */
@NullMarked
package embrack.core.gear.question;

import org.jspecify.annotations.NullMarked;
