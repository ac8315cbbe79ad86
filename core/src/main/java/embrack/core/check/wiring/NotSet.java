package embrack.core.check.wiring;

import embrack.core.check.rule.Found;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Condition;
import embrack.core.gear.Setting;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;

/** What is said of a device that does not do something since a setting is not as it has to be. */
final class NotSet {

    private NotSet() {}

    static Found about(Found found, Rig rig, DeviceId device, Condition condition) {
        Setting setting = rig.settingOf(device, condition);
        String needed = setting.shown(condition.value());
        return found.with("app", device)
                .with("setting", setting.name())
                .with("now", rig.shown(device, condition))
                .with("on", needed)
                .mend("switch-on", new GearEdit.ChangeSetting(device, setting.id(), needed));
    }
}
