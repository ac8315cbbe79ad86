/** What is on paper, as data: parts of a folder, their blocks, lines, tables, switches and drawings. */
@NullMarked
package embrack.paper.page;

import org.jspecify.annotations.NullMarked;
