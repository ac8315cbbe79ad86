/** Accounts, crews and who belongs to them; what is kept of secrets is only what tells the right one. */
@NullMarked
package embrack.app.store.crew;

import org.jspecify.annotations.NullMarked;
