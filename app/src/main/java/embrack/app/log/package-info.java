/** The log: what runs, drills, shows and line checks came to, what was noted, and what is to be done about it. */
@NullMarked
package embrack.app.log;

import org.jspecify.annotations.NullMarked;
