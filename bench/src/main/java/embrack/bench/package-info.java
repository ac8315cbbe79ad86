/** Benchmarks; nothing imports them. */
@NullMarked
package embrack.bench;

import org.jspecify.annotations.NullMarked;
