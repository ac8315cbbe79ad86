/**
 * The run-through: a night played in the engine, by the clock or faster, with people who press and things that go
 * wrong.
 * A {@link embrack.core.run.Run} is a value; what comes upon it is an {@link embrack.core.run.Act}.
 */
@NullMarked
package embrack.core.run;

import org.jspecify.annotations.NullMarked;
