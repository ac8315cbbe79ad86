/** Choosing numbers: which message a box learns for what, and which channel each receiver listens to. */
@NullMarked
package embrack.core.numbers;

import org.jspecify.annotations.NullMarked;
