/** The folder command, which needs no server and no database. */
@NullMarked
package embrack.paper.command;

import org.jspecify.annotations.NullMarked;
