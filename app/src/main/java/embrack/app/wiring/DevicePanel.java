package embrack.app.wiring;

import embrack.core.gear.Facts;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.PortId;
import embrack.core.loss.Failure;
import embrack.core.loss.Loss;
import embrack.core.loss.SinglePoints;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Rig;
import embrack.core.rig.Traffic;
import embrack.core.way.Delay;
import embrack.core.way.SignalPath;
import embrack.core.way.Timing;
import embrack.core.way.Ways;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A device: where it stands, what it passes on, whom it reaches and who reaches it, what it runs from, what dies with
 * it.
 */
record DevicePanel(
        String id,
        String name,
        String model,
        String facts,
        Standing standing,
        List<PassRow> passes,
        String power,
        String loss,
        List<LinkRow> links,
        Reached reached) {

    /**
     * Where it stands and what can stand in for it.
     *
     * @param hosts computers that an app can live in; empty for a box
     * @param twins devices of the same hardware, which can stand in for it
     */
    record Standing(List<Choice> areas, boolean isApp, List<Choice> hosts, List<Choice> twins) {}

    /**
     * Whom it reaches and who reaches it.
     *
     * @param ways to the device that was asked about
     */
    record Reached(List<Reach> to, List<Reach> from, List<WayView> ways) {}

    /** Something to choose. */
    record Choice(String key, String words, boolean isCurrent) {}

    /** A way through the device. */
    record PassRow(
            String key,
            String from,
            String to,
            boolean open,
            List<Sort> sorts,
            String channels,
            String onto,
            String words) {}

    /** A sort of message; {@code passes} when it is not kept back. */
    record Sort(String key, String words, boolean passes) {}

    /** Another device, with the times of the shortest way in milliseconds. */
    record Reach(String id, String name, String times) {}

    static DevicePanel of(Plan plan, Ways ways, DeviceId id, Optional<DeviceId> to, List<SignalPath> shown) {
        Rig rig = plan.rig();
        Device device = rig.device(id);
        Model model = rig.model(id);
        return new DevicePanel(
                id.text(),
                device.name().text(),
                model.name().text(),
                Facts.line(model),
                new Standing(
                        Stream.of(Area.values())
                                .map(a -> new Choice(
                                        a.name(), a.words(), a == device.spot().area()))
                                .toList(),
                        model.isApp(),
                        hosts(rig, device),
                        twins(rig, device)),
                model.sockets().routes().keySet().stream()
                        .map(route -> pass(model, route.key(), route.from(), route.to(), rig.filter(id, route)))
                        .toList(),
                new PowerPlan(rig)
                        .feedings().stream()
                                .filter(f -> f.device().equals(id))
                                .findFirst()
                                .map(f -> "Runs from %s%s."
                                        .formatted(
                                                f.how(rig),
                                                f.milliamps() == 0 ? "" : ", %d mA".formatted(f.milliamps())))
                                .orElse(""),
                loss(plan, ways, id),
                LinkRow.all(rig, rig.linksIn(id)),
                new Reached(
                        ways.isSource(id) ? reach(rig, ways, ways.nearest(id)) : List.of(),
                        rig.devices().stream()
                                .map(Device::id)
                                .filter(other -> !other.equals(id) && ways.isSource(other))
                                .flatMap(other -> Optional.ofNullable(
                                        ways.nearest(other).get(id))
                                        .map(way -> new Reach(
                                                other.text(), rig.name(other).text(), times(ways, way)))
                                        .stream())
                                .toList(),
                        to.isPresent()
                                ? shown.stream()
                                        .map(way -> WayView.of(ways, way))
                                        .toList()
                                : List.of()));
    }

    private static List<Choice> hosts(Rig rig, Device device) {
        return rig.model(device.id()).isApp()
                ? rig.devices().stream()
                        .filter(d -> rig.model(d.id()).kind() == Kind.HOST)
                        .map(d -> new Choice(
                                d.id().text(),
                                d.name().text(),
                                device.spot().host().filter(d.id()::equals).isPresent()))
                        .toList()
                : List.of();
    }

    private static List<Choice> twins(Rig rig, Device device) {
        return rig.devices().stream()
                .filter(d -> !d.id().equals(device.id()) && d.model().equals(device.model()))
                .map(d -> new Choice(
                        d.id().text(),
                        d.name().text(),
                        rig.standIn(device.id()).filter(d.id()::equals).isPresent()))
                .toList();
    }

    private static PassRow pass(Model model, String key, PortId from, PortId to, MidiFilter filter) {
        return new PassRow(
                key,
                name(model, from),
                name(model, to),
                filter.open(),
                Stream.of(Traffic.values())
                        .map(t ->
                                new Sort(t.name(), t.words(), !filter.stopped().contains(t)))
                        .toList(),
                filter.channels().stream().map(String::valueOf).collect(Collectors.joining(", ")),
                filter.onto().map(c -> String.valueOf(c.number())).orElse(""),
                filter.words());
    }

    private static String name(Model model, PortId port) {
        return model.port(port).orElseThrow().name().text();
    }

    private static List<Reach> reach(Rig rig, Ways ways, Map<DeviceId, SignalPath> nearest) {
        return nearest.entrySet().stream()
                .filter(e -> !rig.model(e.getKey()).parts().isEmpty())
                .map(e -> new Reach(e.getKey().text(), rig.name(e.getKey()).text(), times(ways, e.getValue())))
                .toList();
    }

    private static String times(Ways ways, SignalPath way) {
        Delay total = Timing.total(new Timing(ways).shares(way, 3, 0));
        return total.words();
    }

    private static String loss(Plan plan, Ways ways, DeviceId id) {
        Optional<Loss> loss = SinglePoints.of(plan, ways).stream()
                .filter(l -> l.failure().equals(new Failure.DeviceFails(id)))
                .findFirst();
        String dark = loss.map(Loss::dark)
                .filter(d -> !d.isEmpty())
                .map(d -> " It takes with it "
                        + Words.list(d.stream().map(plan.rig()::name).toList()) + ".")
                .orElse("");
        return loss.map(l -> "Single point: without it go " + plan.words(l.switches()) + "." + dark)
                .orElse("No switch goes with it alone.");
    }
}
