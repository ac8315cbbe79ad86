package embrack.core.check.lights;

import embrack.core.check.rule.Rule;
import java.util.List;

/** All rules about lights. */
public final class LightRules {

    public static final List<Rule> ALL = List.of(
            new BesidePages(),
            new SharedSlots(),
            new NoAddress(),
            new NobodyMeant(),
            new EmptyScene(),
            new OtherBank(),
            new CannotShow(),
            new NoBeat(),
            new BySound(),
            new DarkWhileWalking(),
            new LongLine(),
            new TooManyFlashes());

    private LightRules() {}
}
