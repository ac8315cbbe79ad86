package embrack.core.check.rule;

import java.util.stream.Stream;

/** Finds one kind of mistake. What it finds are facts; their words lie in {@code words.properties} beside it. */
public interface Rule {

    RuleInfo info();

    Stream<Finding> check(Subject subject);

    /** Begins to say what was found. */
    default Found found(Severity severity) {
        return new Found(info(), severity);
    }
}
