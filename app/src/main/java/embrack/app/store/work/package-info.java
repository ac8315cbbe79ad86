/** Long work on rigs: kept in the database, done in parts by whichever server is free. */
@NullMarked
package embrack.app.store.work;

import org.jspecify.annotations.NullMarked;
