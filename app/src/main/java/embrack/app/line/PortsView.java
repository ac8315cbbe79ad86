package embrack.app.line;

import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The ports that a browser brings.
 *
 * @param boxes those of the rig that send, to choose from
 * @param plugged how many of them hang at a port
 */
record PortsView(List<Port> ports, List<Box> boxes, int plugged) {

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
                plan.controllers().stream()
                        .map(box -> new Box(box.text(), plan.rig().name(box).text()))
                        .toList(),
                (int) plugged.values().stream()
                        .flatMap(Optional::stream)
                        .distinct()
                        .count());
    }
}
