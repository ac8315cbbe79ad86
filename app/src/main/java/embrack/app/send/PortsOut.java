package embrack.app.send;

import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The ports of a browser, with what hangs at each.
 *
 * @param outs ports out
 * @param ins ports in, at which may be heard how long it took
 * @param boxes those of the rig that obey
 * @param boards those that send, in whose place a port may stand
 * @param plugged how many ports out lead anywhere
 */
record PortsOut(List<Port> outs, List<Port> ins, List<Box> boxes, List<Box> boards, int plugged) {

    /** A port; {@code box} is empty where nothing of the rig hangs there. */
    record Port(String name, String box) {}

    /** A box to choose. */
    record Box(String key, String name) {}

    static PortsOut of(
            Plan plan,
            List<DeviceId> asked,
            Map<String, Optional<DeviceId>> outs,
            Map<String, Optional<DeviceId>> ins) {
        List<DeviceId> boards = plan.controllers();
        return new PortsOut(
                ports(outs),
                ports(ins),
                boxes(
                        plan,
                        Stream.concat(
                                        asked.stream(),
                                        plan.rig().devices().stream()
                                                .map(device -> device.id())
                                                .filter(device -> !plan.rig()
                                                        .chart(device)
                                                        .isEmpty()))
                                .distinct()
                                .toList()),
                boxes(plan, boards),
                (int) outs.values().stream().filter(Optional::isPresent).count());
    }

    private static List<Port> ports(Map<String, Optional<DeviceId>> plugged) {
        return plugged.entrySet().stream()
                .map(entry -> new Port(
                        entry.getKey(), entry.getValue().map(DeviceId::text).orElse("")))
                .toList();
    }

    private static List<Box> boxes(Plan plan, List<DeviceId> ids) {
        return ids.stream()
                .map(id -> new Box(id.text(), plan.rig().name(id).text()))
                .toList();
    }
}
