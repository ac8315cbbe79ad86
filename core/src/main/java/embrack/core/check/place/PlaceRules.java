package embrack.core.check.place;

import embrack.core.check.rule.Rule;
import java.util.List;

/** The rules of this package. */
public final class PlaceRules {

    public static final List<Rule> ALL =
            List.of(new NoKillSwitch(), new NoSafeSwitch(), new SafeIncomplete(), new StopsBesideGo());

    private PlaceRules() {}
}
