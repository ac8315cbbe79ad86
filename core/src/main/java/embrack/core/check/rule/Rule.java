package embrack.core.check.rule;

import java.util.stream.Stream;

/** Finds one kind of mistake. What it finds are facts; their words lie in {@code words.properties} beside it. */
public interface Rule {

    RuleInfo info();

    Stream<Finding> check(Subject subject);

    /**
     * Whether an edit left alone all that this rule looks at, so that it would find the same again. Only for rules
     * whose findings name nothing else and bring no remedy.
     */
    default boolean isLeftAlone(Edited edited) {
        return false;
    }

    /** Begins to say what was found. */
    default Found found(Severity severity) {
        return new Found(info(), severity);
    }
}
