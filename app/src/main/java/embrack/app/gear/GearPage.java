package embrack.app.gear;

import embrack.core.gear.library.Library;
import embrack.core.gear.Model;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.Assignment;
import java.util.List;
import java.util.Optional;

/** All that the gear room shows. */
record GearPage(String rigName, List<Card> boxes, Optional<Detail> selected, List<ModelChoice> library) {

    /** A box in the list. */
    record Card(String id, String name, String model, String facts, boolean isSelected) {
    }

    /** A model to choose. */
    record ModelChoice(String id, String name, String facts, boolean isCurrent) {
    }

    /** The selected box with all that can be changed about it. */
    record Detail(String id, String name, String model, String facts, List<SettingField> settings, List<PartField> parts,
            List<ModelChoice> hardware, int usedBySwitches) {
    }

    /** A setting, as the box shows it. */
    record SettingField(String id, String name, int value, String range) {
    }

    /** A part with its tape. */
    record PartField(String id, String printed, String label) {
    }

    static GearPage of(Plan plan, Optional<DeviceId> selected) {
        Rig rig = plan.rig();
        return new GearPage(rig.name().text(),
                rig.devices().stream().map(d -> new Card(d.id().text(), d.name().text(), rig.model(d.id()).name().text(),
                        facts(rig.model(d.id())), selected.filter(d.id()::equals).isPresent())).toList(),
                selected.flatMap(rig::find).map(device -> detail(plan, device)),
                Library.all().stream().map(model -> choice(model, false)).toList());
    }

    private static Detail detail(Plan plan, Device device) {
        Rig rig = plan.rig();
        Model model = rig.model(device.id());
        List<Assignment> users = plan.switches().using(device.id());
        return new Detail(device.id().text(), device.name().text(), model.name().text(), facts(model),
                model.settings().stream().map(s -> new SettingField(s.id().text(), s.name().text(),
                        rig.setting(device.id(), s.id()).orElseThrow(), "%d to %d".formatted(s.min(), s.max()))).toList(),
                model.parts().stream().map(p -> new PartField(p.id().text(), p.name().text(),
                        Optional.ofNullable(device.labels().get(p.id())).map(Object::toString).orElse(""))).toList(),
                Library.all().stream().filter(m -> m.kind() == model.kind()).map(m -> choice(m, m.id().equals(model.id()))).toList(),
                users.size());
    }

    private static ModelChoice choice(Model model, boolean isCurrent) {
        return new ModelChoice(model.id().text(), model.name().text(), facts(model), isCurrent);
    }

    /** What decides whether a box can do a job: what it sends, or how many parts it has. */
    private static String facts(Model model) {
        return model.board()
                .map(b -> "%s, sends %s, %s a press".formatted(Words.count(b.switches(), "switch"), b.sendsWords(),
                        Words.count(b.messagesPerPress(), "message")))
                .orElseGet(() -> "%s, answers to %d messages".formatted(Words.count(model.parts().size(), "strip"), model.actions().size()));
    }
}
