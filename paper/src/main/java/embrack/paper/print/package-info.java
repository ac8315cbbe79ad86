/** PDF files, made of templates of their own. */
@NullMarked
package embrack.paper.print;

import org.jspecify.annotations.NullMarked;
