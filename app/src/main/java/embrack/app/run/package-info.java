/** The run-through: a night that goes on in the server, watched and pressed by several. */
@NullMarked
package embrack.app.run;

import org.jspecify.annotations.NullMarked;
