package embrack.core.check.sound;

import embrack.core.check.rule.Rule;
import java.util.List;

/** The rules of this package. */
public final class SoundRules {

    public static final List<Rule> ALL = List.of(new HeardInTheHouse(), new NoInEars());

    private SoundRules() {}
}
