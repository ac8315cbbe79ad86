package embrack.core.check.order;

import embrack.core.check.rule.Rule;
import java.util.List;

/** All rules about the order of tonight's show. */
public final class OrderRules {

    public static final List<Rule> ALL = List.of(
            new FadeTooLong(),
            new StandsInATalk(),
            new TooLong(),
            new PadKey(),
            new StemsInAnotherKey(),
            new PadShort(),
            new Doubled(),
            new HardBetweenPads(),
            new Silence(),
            new NobodyGoes(),
            new NotCalled(),
            new WalksElsewhere());

    private OrderRules() {}
}
