package embrack.core.check.rule;

import java.util.stream.Stream;

/** Finds one kind of mistake. */
public interface Rule {

    RuleInfo info();

    Stream<Finding> check(Subject subject);
}
