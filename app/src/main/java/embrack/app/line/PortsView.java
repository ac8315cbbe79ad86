package embrack.app.line;

import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.way.Ways;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The ports that a browser brings.
 *
 * @param boxes those of the rig that send, to choose from
 * @param between those at whose cable several of them are heard
 * @param plugged how many of them hang at a port
 */
record PortsView(List<Port> ports, List<Box> boxes, List<Box> between, int plugged) {

    /** A port; {@code box} is empty where nothing of the rig hangs there. */
    record Port(String name, String box) {}

    /** A box to choose. */
    record Box(String key, String name) {}

    static PortsView of(Plan plan, Map<String, Optional<DeviceId>> plugged) {
        return new PortsView(
                plugged.entrySet().stream()
                        .map(entry -> new Port(
                                entry.getKey(),
                                entry.getValue().map(DeviceId::text).orElse("")))
                        .toList(),
                plan.controllers().stream().map(box -> box(plan, box)).toList(),
                between(plan),
                (int) plugged.values().stream()
                        .flatMap(Optional::stream)
                        .distinct()
                        .count());
    }

    private static List<Box> between(Plan plan) {
        Ways ways = new Ways(plan.rig());
        Set<DeviceId> reached = plan.controllers().stream()
                .flatMap(board -> ways.reach(board).stream())
                .collect(Collectors.toSet());
        return plan.rig().devices().stream()
                .map(device -> device.id())
                .filter(device ->
                        reached.contains(device) && !plan.controllers().contains(device))
                .map(box -> box(plan, box))
                .toList();
    }

    private static Box box(Plan plan, DeviceId box) {
        return new Box(box.text(), plan.rig().name(box).text());
    }
}
