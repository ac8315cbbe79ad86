/** Light on a network: frames of slots as packets of streaming ACN (ANSI E1.31), written and read. */
@NullMarked
package embrack.files.acn;

import org.jspecify.annotations.NullMarked;
