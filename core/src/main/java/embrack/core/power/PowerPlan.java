package embrack.core.power;

import embrack.core.gear.Connector;
import embrack.core.gear.Direction;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.Port;
import embrack.core.gear.Power;
import embrack.core.gear.Power.Source;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What every box runs from. A lead from a supply counts before USB, that before mains and a supply of its own, those
 * before batteries. Draws at different voltages are not converted: a draw is compared with what its own port gives.
 */
public final class PowerPlan {

    private final Rig rig;
    private final Map<DeviceId, Feeding> feedings = new LinkedHashMap<>();

    public PowerPlan(Rig rig) {
        this.rig = rig;
        rig.devices().stream()
                .filter(device -> rig.model(device.id()).power().isPresent())
                .forEach(device -> feedings.put(
                        device.id(),
                        feeding(device, rig.model(device.id()).power().orElseThrow())));
    }

    /** Every box that needs power, in the order of the rig. */
    public List<Feeding> feedings() {
        return List.copyOf(feedings.values());
    }

    /** Every port that something draws from, in the order of the rig. */
    public List<PortLoad> loads() {
        Map<Socket, List<DeviceId>> byPort = new LinkedHashMap<>();
        feedings.values()
                .forEach(feeding -> feeding.from()
                        .ifPresent(port -> byPort.computeIfAbsent(port, p -> new ArrayList<>())
                                .add(feeding.device())));
        return byPort.entrySet().stream()
                .map(e -> new PortLoad(
                        e.getKey(),
                        gives(rig.port(e.getKey())),
                        e.getValue(),
                        e.getValue().stream()
                                .mapToInt(device -> drawWithBehind(device, Set.of()))
                                .sum(),
                        e.getValue().stream()
                                .filter(this::isPassiveHub)
                                .mapToInt(this::draw)
                                .sum()))
                .toList();
    }

    /** All that goes dark with a device: what runs from it, what runs from that, and the apps in those. */
    public Set<DeviceId> diesWith(DeviceId device) {
        Set<DeviceId> dead = new LinkedHashSet<>(List.of(device));
        boolean grown = true;
        while (grown) {
            grown = rig.devices().stream()
                    .map(Device::id)
                    .filter(id -> !dead.contains(id))
                    .filter(id -> dead.contains(rig.box(id))
                            || feeder(id).filter(dead::contains).isPresent())
                    .toList()
                    .stream()
                    .map(dead::add)
                    .reduce(false, (a, b) -> a | b);
        }
        return dead;
    }

    private Optional<DeviceId> feeder(DeviceId id) {
        return Optional.ofNullable(feedings.get(id)).flatMap(Feeding::from).map(Socket::device);
    }

    private Feeding feeding(Device device, Power power) {
        Optional<Socket> lead = plugged(device, LinkKind.POWER);
        if (lead.isPresent()) {
            return new Feeding(device.id(), lead, Optional.empty(), power.milliamps());
        }
        Optional<Socket> usb = power.sources().contains(Source.USB) ? plugged(device, LinkKind.USB) : Optional.empty();
        if (usb.isPresent()) {
            return new Feeding(device.id(), usb, Optional.of(Source.USB), power.milliamps());
        }
        List<Source> order = isCarried(device)
                ? List.of(Source.MAINS, Source.BATTERY, Source.SUPPLY)
                : List.of(Source.MAINS, Source.SUPPLY, Source.BATTERY);
        Optional<Source> own = order.stream().filter(power.sources()::contains).findFirst();
        return new Feeding(device.id(), Optional.empty(), own, power.milliamps());
    }

    /** A tablet is charged only where a lead or an adapter is in it; else it runs down its batteries. */
    private boolean isCarried(Device device) {
        return rig.model(device.id()).kind() == Kind.HOST;
    }

    /** The port at the other end of a link by which a device is powered. */
    private Optional<Socket> plugged(Device device, LinkKind kind) {
        return rig.linksIn(device.id()).stream()
                .filter(link -> rig.kind(link) == kind)
                .flatMap(link -> giver(device, link).stream())
                .findFirst();
    }

    private Optional<Socket> giver(Device device, Link link) {
        Socket own = link.from().device().equals(device.id()) ? link.from() : link.to();
        Socket other = link.beyond(own);
        boolean leadIn =
                rig.port(own).connector() == Connector.POWER && rig.port(own).direction() == Direction.IN;
        boolean usbIn = rig.port(own).connector() == Connector.USB_DEVICE
                && rig.port(own).gives() == 0;
        boolean charged = rig.port(own).connector() == Connector.USB_HOST
                && rig.port(other).connector() == Connector.USB_DEVICE
                && rig.port(other).gives() > 0;
        return leadIn || usbIn || charged ? Optional.of(other) : Optional.empty();
    }

    private static int gives(Port port) {
        return port.gives() > 0 ? port.gives() : Power.USB_2_PORT;
    }

    private int draw(DeviceId device) {
        return Optional.ofNullable(feedings.get(device)).map(Feeding::milliamps).orElse(0);
    }

    /**
     * A hub without a supply of its own takes what hangs on it from the port that it hangs on, and an adapter that
     * charges what it is plugged into from its charger; hubs plugged into each other count once.
     */
    private int drawWithBehind(DeviceId device, Set<DeviceId> before) {
        if (before.contains(device)) {
            return 0;
        }
        if (!isPassiveHub(device) && !isChargingAdapter(device)) {
            return draw(device);
        }
        Set<DeviceId> with = new LinkedHashSet<>(before);
        with.add(device);
        return draw(device)
                + feedings.values().stream()
                        .filter(f -> f.from()
                                .filter(port -> port.device().equals(device))
                                .isPresent())
                        .mapToInt(f -> drawWithBehind(f.device(), with))
                        .sum();
    }

    /** Whether it is fed by a lead, and feeds what it is plugged into: charger, adapter, tablet. */
    private boolean isChargingAdapter(DeviceId device) {
        return feedings.containsKey(device)
                && feedings.get(device).from().isPresent()
                && rig.model(device).ports().stream()
                        .anyMatch(p -> p.connector() == Connector.USB_DEVICE && p.gives() > 0);
    }

    private boolean isPassiveHub(DeviceId device) {
        Model model = rig.model(device);
        return model.kind() == Kind.INTERFACE
                && feedings.containsKey(device)
                && feedings.get(device).isBy(Source.USB)
                && model.ports().stream().anyMatch(p -> p.connector() == Connector.USB_HOST);
    }
}
