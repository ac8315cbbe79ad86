package embrack.core.check.gear;

import embrack.core.check.rule.Rule;
import java.util.List;

/** The rules of this package. */
public final class GearRules {

    public static final List<Rule> ALL = List.of(new ChartContradictsBox());

    private GearRules() {}
}
