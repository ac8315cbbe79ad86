/** The types of fixtures that ship. All are generic and invented. */
@NullMarked
package embrack.core.light.library;

import org.jspecify.annotations.NullMarked;
