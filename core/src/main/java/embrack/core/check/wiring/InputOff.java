package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Ability;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.stream.Stream;

/** A controller is linked to an app whose input for controllers is off. */
final class InputOff implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "input-off");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .filter(d -> rig.unmet(d.id(), Ability.HEARS_REMOTE).isPresent())
                .flatMap(app -> subject.plan().boards().stream()
                        .filter(board -> subject.ways().reach(board).contains(app.id()))
                        .findFirst()
                        .map(board -> finding(rig, board, app))
                        .stream());
    }

    private Finding finding(Rig rig, DeviceId board, Device app) {
        return NotSet.about(
                        found(Severity.STOPS),
                        rig,
                        app.id(),
                        rig.unmet(app.id(), Ability.HEARS_REMOTE).orElseThrow())
                .with("board", board)
                .made();
    }
}
