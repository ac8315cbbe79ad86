package embrack.core.check.controls;

import embrack.core.check.rule.Rule;
import java.util.List;

/** The rules of this package. */
public final class ControlRules {

    public static final List<Rule> ALL = List.of(
            new ControlStopped(),
            new ControlNotAsMeant(),
            new AboveUnity(),
            new Jumps(),
            new SharesALevel(),
            new Reversed());

    private ControlRules() {}
}
