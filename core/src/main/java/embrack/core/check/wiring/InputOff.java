package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Purpose;
import embrack.core.gear.Setting;
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
                .filter(d -> rig.setting(d.id(), Purpose.INPUT_FOR_REMOTE)
                        .filter(v -> v == 0)
                        .isPresent())
                .flatMap(app -> subject.plan().boards().stream()
                        .filter(board -> subject.ways().reach(board).contains(app.id()))
                        .findFirst()
                        .map(board -> finding(rig, board, app))
                        .stream());
    }

    private Finding finding(Rig rig, DeviceId board, Device app) {
        Setting setting = rig.model(app.id()).setting(Purpose.INPUT_FOR_REMOTE).orElseThrow();
        return found(Severity.STOPS)
                .with("app", app)
                .with("board", board)
                .with("setting", setting.name())
                .with("on", setting.shown(1))
                .mend("switch-on", new GearEdit.ChangeSetting(app.id(), setting.id(), setting.shown(1)))
                .made();
    }
}
