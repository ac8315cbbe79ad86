package embrack.core.check.power;

import embrack.core.check.rule.Rule;
import java.util.List;

/** The rules of this package. */
public final class PowerRules {

    public static final List<Rule> ALL = List.of(new BatteryShort(), new NoPower(), new TooMuchPower());

    private PowerRules() {}
}
