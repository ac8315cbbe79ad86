/** The order room: tonight's show as a column of tape, by the clock; who plays; its files. */
@NullMarked
package embrack.app.order;

import org.jspecify.annotations.NullMarked;
