package embrack.core;

import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Setting;
import embrack.core.gear.library.Library;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.Link;
import embrack.core.rig.Socket;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Edits of gear, wiring and settings at random. */
public final class RigEdits {

    private static final int TRIES = 20;

    private RigEdits() {}

    /** A plan after one of them that is not refused; the same where all were. */
    public static Plan one(Plan plan, Random random) {
        for (int i = 0; i < TRIES; i++) {
            try {
                return edit(plan, random).apply(plan);
            } catch (Refused refused) {
                continue;
            }
        }
        return plan;
    }

    private static Edit edit(Plan plan, Random random) {
        if (plan.rig().devices().isEmpty()) {
            return add(random);
        }
        Device device = of(plan.rig().devices(), random);
        List<Setting> settings = plan.rig().model(device.id()).settings();
        return switch (random.nextInt(plan.rig().links().isEmpty() ? 4 : 9)) {
            case 0 -> new GearEdit.RenameDevice(device.id(), "Box " + random.nextInt(1_000));
            case 1 -> new GearEdit.RemoveDevice(device.id(), true);
            case 2 -> add(random);
            case 3 -> new WiringEdit.Stand(device.id(), of(List.of(Area.values()), random));
            case 4 -> {
                Link link = of(plan.rig().links(), random);
                yield new WiringEdit.Disconnect(link.from(), link.to());
            }
            case 5 -> new WiringEdit.Connect(socket(plan, random), socket(plan, random));
            case 6 ->
                new WiringEdit.LiveIn(
                        device.id(),
                        Optional.of(of(plan.rig().devices(), random).id()));
            default ->
                settings.isEmpty()
                        ? new GearEdit.RenameRig("Rig " + random.nextInt(100))
                        : setting(device, of(settings, random), random);
        };
    }

    private static Edit add(Random random) {
        return new GearEdit.AddDevice("New " + random.nextInt(1_000), of(Library.all(), random));
    }

    private static Edit setting(Device device, Setting setting, Random random) {
        int value = setting.min() + random.nextInt(setting.max() - setting.min() + 1);
        return new GearEdit.ChangeSetting(device.id(), setting.id(), setting.shown(value));
    }

    private static Socket socket(Plan plan, Random random) {
        return of(
                plan.rig().devices().stream()
                        .flatMap(device -> plan.rig().model(device.id()).ports().stream()
                                .map(port -> new Socket(device.id(), port.id())))
                        .toList(),
                random);
    }

    private static <T> T of(List<T> some, Random random) {
        return some.get(random.nextInt(some.size()));
    }
}
