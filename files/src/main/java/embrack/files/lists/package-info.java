/** Lists as CSV (RFC 4180): cables, what to pack, labels, single points. */
@NullMarked
package embrack.files.lists;

import org.jspecify.annotations.NullMarked;
