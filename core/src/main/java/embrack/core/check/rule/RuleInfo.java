package embrack.core.check.rule;

import java.util.regex.Pattern;

/**
 * What a rule is known by.
 *
 * @param code {@code subject.name}, lower case with hyphens; never changes once published
 * @param title the rule in a few words
 */
public record RuleInfo(String code, String title) implements Comparable<RuleInfo> {

    private static final Pattern CODE = Pattern.compile("[a-z]+\\.[a-z]+(-[a-z]+)*");

    public RuleInfo {
        if (!CODE.matcher(code).matches()) {
            throw new IllegalArgumentException("a rule's code is subject.name, was \"%s\"".formatted(code));
        }
    }

    @Override
    public int compareTo(RuleInfo other) {
        return code.compareTo(other.code);
    }
}
