package embrack.core.way;

import embrack.core.gear.Connector;
import embrack.core.gear.Kind;
import embrack.core.gear.SettingId;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Whether links that can be made also carry: wireless and network connections need more than two ports. */
public final class Readiness {

    /** The role that offers itself or invites. */
    private static final int OFFERS = 0;

    private final Rig rig;
    private final Map<DeviceId, Integer> networks = new HashMap<>();
    private final Set<Integer> onAir = new HashSet<>();

    public Readiness(Rig rig) {
        this.rig = rig;
        rig.devices().forEach(device -> spread(device.id()));
    }

    /**
     * What a link still lacks.
     *
     * @param what what is the case, a sentence
     * @param fix what to do, a sentence
     * @param device where to do it
     * @param setting the setting that mends it; empty when none does
     * @param value what to set it to
     */
    public record Lack(String what, String fix, DeviceId device, Optional<SettingId> setting, int value) {}

    /** Why a link carries nothing yet; empty when it does, and for links that carry no messages in any case. */
    public Optional<Lack> lack(Link link) {
        if (rig.kind(link) == LinkKind.WIRELESS) {
            return isWifi(link)
                    ? Optional.empty()
                    : app(link.from()).or(() -> app(link.to())).or(() -> sameRole(link, "offer themselves", "connect"));
        }
        return Linking.isSession(rig, link)
                ? apart(link).or(() -> sameRole(link, "invite", "be invited"))
                : Optional.empty();
    }

    /** Whether messages pass a link. */
    public boolean carries(Link link) {
        LinkKind kind = rig.kind(link);
        boolean plainNetwork = kind == LinkKind.NETWORK && !Linking.isSession(rig, link);
        return kind.carriesMidi()
                && !plainNetwork
                && !isWifi(link)
                && lack(link).isEmpty();
    }

    /** Whether a session goes over the air for any part of its way. */
    public boolean isOnAir(Link session) {
        return Optional.ofNullable(networks.get(rig.box(session.from().device())))
                .filter(onAir::contains)
                .isPresent();
    }

    private boolean isWifi(Link link) {
        return rig.port(link.from()).connector() == Connector.WIFI;
    }

    private Optional<Lack> app(Socket end) {
        boolean missing = rig.model(end.device()).kind() == Kind.HOST
                && rig.setting(end.device(), SettingId.WIRELESS_APP)
                        .filter(v -> v == 0)
                        .isPresent();
        return missing
                ? Optional.of(new Lack(
                        "The app or driver for wireless MIDI is missing in %s.".formatted(rig.name(end.device())),
                        "Install it in %s, and pair the two.".formatted(rig.name(end.device())),
                        end.device(),
                        Optional.of(SettingId.WIRELESS_APP),
                        1))
                : Optional.empty();
    }

    private Optional<Lack> sameRole(Link link, String offering, String answering) {
        int from = role(link.from().device());
        int to = role(link.to().device());
        if (from != to) {
            return Optional.empty();
        }
        DeviceId changed = rig.setting(link.to().device(), SettingId.ROLE).isPresent()
                ? link.to().device()
                : link.from().device();
        int other = 1 - from;
        return Optional.of(new Lack(
                "%s and %s both wait to %s."
                        .formatted(
                                rig.name(link.from().device()),
                                rig.name(link.to().device()),
                                from == OFFERS ? "be found: both " + offering : answering),
                "Have %s %s."
                        .formatted(
                                rig.name(changed),
                                other == OFFERS ? offering.replace("themselves", "itself") : answering),
                changed,
                rig.setting(changed, SettingId.ROLE).map(r -> SettingId.ROLE),
                other));
    }

    /**
     * The role that a side has; a controller without a choice offers itself, and a box on a network waits to be
     * invited.
     */
    private int role(DeviceId device) {
        return rig.setting(device, SettingId.ROLE)
                .orElse(
                        rig.model(device).ports().stream().anyMatch(p -> p.connector() == Connector.BLUETOOTH)
                                ? OFFERS
                                : 1);
    }

    private Optional<Lack> apart(Link link) {
        DeviceId one = rig.box(link.from().device());
        DeviceId other = rig.box(link.to().device());
        boolean together = networks.containsKey(one) && networks.get(one).equals(networks.get(other));
        return together
                ? Optional.empty()
                : Optional.of(new Lack(
                        "%s and %s are not on one network.".formatted(rig.name(one), rig.name(other)),
                        "Join both to the same router, by cable where the show depends on it.",
                        other,
                        Optional.empty(),
                        0));
    }

    /** Numbers the network that a box is on, if it is on one. */
    private void spread(DeviceId start) {
        if (networks.containsKey(start) || physical(start).isEmpty()) {
            return;
        }
        int number = networks.size();
        Deque<DeviceId> open = new ArrayDeque<>(List.of(start));
        while (!open.isEmpty()) {
            DeviceId device = open.poll();
            if (networks.putIfAbsent(device, number) == null) {
                physical(device).forEach(link -> {
                    if (isWifi(link)) {
                        onAir.add(number);
                    }
                    open.add(
                            link.from().device().equals(device)
                                    ? link.to().device()
                                    : link.from().device());
                });
            }
        }
    }

    private List<Link> physical(DeviceId device) {
        return rig.sockets(device).stream()
                .flatMap(socket -> rig.linksIn(socket).stream())
                .filter(link -> isWifi(link) || rig.kind(link) == LinkKind.NETWORK && !Linking.isSession(rig, link))
                .toList();
    }
}
