/** What a rule and a finding are. Rules live in the packages beside this one, a package a subject. */
@NullMarked
package embrack.core.check.rule;

import org.jspecify.annotations.NullMarked;
