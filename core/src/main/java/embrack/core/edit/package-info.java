/**
 * Every edit that a person can make: a small intent, made on the newest plan, or refused at a field.
 */
@NullMarked
package embrack.core.edit;

import org.jspecify.annotations.NullMarked;
