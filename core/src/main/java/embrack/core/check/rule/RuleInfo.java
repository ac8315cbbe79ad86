package embrack.core.check.rule;

import java.util.Comparator;
import java.util.regex.Pattern;

/**
 * What a rule is known by.
 *
 * @param name lower case with hyphens; never changes once published
 */
public record RuleInfo(Topic topic, String name) implements Comparable<RuleInfo> {

    private static final Pattern NAME = Pattern.compile("[a-z]+(-[a-z]+)*");
    private static final Comparator<RuleInfo> ORDER = Comparator.comparing(RuleInfo::code);

    public RuleInfo {
        if (!NAME.matcher(name).matches()) {
            throw new IllegalArgumentException("a rule's name is words-with-hyphens, was \"%s\"".formatted(name));
        }
    }

    /** The rule in reports and links: "switches.no-path". */
    public String code() {
        return topic.key() + "." + name;
    }

    @Override
    public int compareTo(RuleInfo other) {
        return ORDER.compare(this, other);
    }
}
