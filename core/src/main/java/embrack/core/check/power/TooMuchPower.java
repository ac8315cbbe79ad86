package embrack.core.check.power;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.name.Words;
import embrack.core.power.PortLoad;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Rig;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * More hangs on a port than it gives. Source of what ports give: USB 2.0 Specification, 7.2.1: 500 mA, and 100 mA
 * behind a hub without a supply.
 */
final class TooMuchPower implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("power.too-much", "A port is asked for more than it gives");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return new PowerPlan(rig)
                .loads().stream().filter(load -> load.over() > 0).map(load -> finding(rig, load));
    }

    private Finding finding(Rig rig, PortLoad load) {
        String port = rig.words(load.port());
        String draw = load.own() == 0
                ? "%d mA hang on %s, which gives %d mA: over by %d mA."
                        .formatted(load.draw(), port, load.gives(), load.over())
                : "%d mA hang on %s, which gives %d mA: over by %d mA before the hub's own draw, by %d mA with it."
                        .formatted(load.draw() - load.own(), port, load.gives(), load.overBeforeHub(), load.over());
        return new Finding(
                info(),
                Severity.STOPS,
                port,
                draw,
                "Boxes switch off or start anew when it matters: %s."
                        .formatted(Words.list(
                                load.devices().stream().map(rig::name).toList())),
                "Take a hub with a supply of its own, or another port; a socket of a hub without a supply "
                        + "gives 100 mA (USB 2.0).",
                List.of(),
                Optional.empty());
    }
}
