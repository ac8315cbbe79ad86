/** The first page: which rigs there are; new, import, export, delete. */
@NullMarked
package embrack.app.rigs;

import org.jspecify.annotations.NullMarked;
