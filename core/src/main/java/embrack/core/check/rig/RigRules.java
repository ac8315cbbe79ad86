package embrack.core.check.rig;

import embrack.core.check.rule.Rule;
import java.util.List;

/** The rules of this package. */
public final class RigRules {

    public static final List<Rule> ALL = List.of(new ReceiverOnChannelOne(), new Unplugged());

    private RigRules() {}
}
