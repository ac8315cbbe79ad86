package embrack.core.way;

import embrack.core.gear.Purpose;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What an edit changed of a rig, as messages meet it: a name, tape, the place on the floor and sound are nothing to
 * them.
 *
 * <p>Cost: the devices and links of both rigs; for each sender that is asked about, its ways in both.
 */
public final class RigChange {

    private final Ways before;
    private final Ways after;
    private final Set<DeviceId> hearing = new HashSet<>();
    private final Set<DeviceId> passing = new HashSet<>();
    private final Set<DeviceId> boxes = new HashSet<>();
    private final Map<DeviceId, Boolean> upstream = new HashMap<>();

    /** What lies between the rigs of two ways. */
    public RigChange(Ways before, Ways after) {
        this.before = before;
        this.after = after;
        Stream.concat(before.rig().devices().stream(), after.rig().devices().stream())
                .map(Device::id)
                .distinct()
                .forEach(this::compare);
        boxes.addAll(hearing);
        boxes.addAll(passing);
    }

    private void compare(DeviceId id) {
        Rig was = before.rig();
        Rig is = after.rig();
        if (was.find(id).isEmpty() || is.find(id).isEmpty()) {
            passing.add(id);
            return;
        }
        Device old = was.device(id);
        Device now = is.device(id);
        boolean isAlike = was.model(id).equals(is.model(id))
                && old.filters().equals(now.filters())
                && old.spot().host().equals(now.spot().host())
                && was.standIn(id).equals(is.standIn(id))
                && links(was, id).equals(links(is, id));
        if (!isAlike || !settingsOnTheWay(was, old).equals(settingsOnTheWay(is, now))) {
            passing.add(id);
        } else if (!old.settings().equals(now.settings())
                || !old.learned().equals(now.learned())
                || !old.table().equals(now.table())
                || !old.memories().equals(now.memories())
                || !old.handWork().equals(now.handWork())) {
            hearing.add(id);
        }
    }

    private static List<Link> links(Rig rig, DeviceId id) {
        return rig.linksIn(id).stream()
                .filter(link -> !rig.kind(link).carriesSound())
                .toList();
    }

    /** Those that decide about more than what a box makes of what arrives. */
    private static Map<SettingId, Integer> settingsOnTheWay(Rig rig, Device device) {
        Set<SettingId> heard = rig.model(device.id()).settings().stream()
                .filter(setting -> setting.isFor(Purpose.RECEIVE_CHANNEL))
                .map(Setting::id)
                .filter(id -> rig.model(device.id()).memory().conditions().stream()
                        .noneMatch(condition -> condition.setting().equals(id)))
                .collect(Collectors.toSet());
        return device.settings().entrySet().stream()
                .filter(e -> !heard.contains(e.getKey()))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** Whether anything is otherwise for messages. */
    public boolean isNone() {
        return hearing.isEmpty() && passing.isEmpty();
    }

    /** The boxes that are otherwise, those that came and those that went among them. */
    public Set<DeviceId> boxes() {
        return boxes;
    }

    /** Whether a box is otherwise in what it sends or lets pass, or in what it is. */
    public boolean isOtherwise(DeviceId box) {
        return passing.contains(box);
    }

    /** Whether a box takes otherwise what arrives, and nothing else. */
    public boolean hearsOtherwise(DeviceId box) {
        return hearing.contains(box);
    }

    /** Whether what a box sends may take other ways than before, or other time. */
    public boolean isUpstream(DeviceId sender) {
        return !passing.isEmpty()
                && upstream.computeIfAbsent(
                        sender, id -> passing.contains(id) || meets(before, id) || meets(after, id));
    }

    private boolean meets(Ways ways, DeviceId sender) {
        return ways.rig().find(sender).isPresent()
                && ways.reach(sender).stream()
                        .anyMatch(device -> passing.contains(device)
                                || passing.contains(ways.rig().box(device)));
    }
}
