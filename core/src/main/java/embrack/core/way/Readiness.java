package embrack.core.way;

import embrack.core.gear.Connector;
import embrack.core.gear.Kind;
import embrack.core.gear.Purpose;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
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

    private static final String ROOM = "core/way";

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
     * @param what what is the case
     * @param fix what to do
     * @param device where to do it
     * @param setting the setting that mends it; empty when none does
     * @param value what to set it to
     */
    public record Lack(Phrase what, Phrase fix, DeviceId device, Optional<SettingId> setting, int value) {}

    /** Why a link carries nothing yet; empty when it does, and for links that carry no messages in any case. */
    public Optional<Lack> lack(Link link) {
        if (rig.kind(link) == LinkKind.WIRELESS) {
            return isWifi(link)
                    ? Optional.empty()
                    : app(link.from()).or(() -> app(link.to())).or(() -> sameRole(link, "wireless"));
        }
        return Linking.isSession(rig, link) ? apart(link).or(() -> sameRole(link, "session")) : Optional.empty();
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
                && rig.setting(end.device(), Purpose.WIRELESS_APP)
                        .filter(v -> v == 0)
                        .isPresent();
        return missing
                ? Optional.of(new Lack(
                        Phrase.of(ROOM, "app-missing").with("host", end.device()),
                        Phrase.of(ROOM, "app-missing.fix").with("host", end.device()),
                        end.device(),
                        Optional.of(rig.settingFor(end.device(), Purpose.WIRELESS_APP)
                                .id()),
                        1))
                : Optional.empty();
    }

    private Optional<Lack> sameRole(Link link, String kind) {
        int from = role(link.from().device());
        int to = role(link.to().device());
        if (from != to) {
            return Optional.empty();
        }
        DeviceId changed = rig.setting(link.to().device(), Purpose.ROLE).isPresent()
                ? link.to().device()
                : link.from().device();
        int other = 1 - from;
        return Optional.of(new Lack(
                Phrase.of(ROOM, "same-role")
                        .with("one", link.from().device())
                        .with("other", link.to().device())
                        .with("kind", Fact.word(kind))
                        .with("role", Fact.word(from == OFFERS ? "offers" : "answers")),
                Phrase.of(ROOM, "same-role.fix")
                        .with("changed", changed)
                        .with("kind", Fact.word(kind))
                        .with("role", Fact.word(other == OFFERS ? "offers" : "answers")),
                changed,
                rig.model(changed).setting(Purpose.ROLE).map(Setting::id),
                other));
    }

    /**
     * The role that a side has; a controller without a choice offers itself, and a box on a network waits to be
     * invited.
     */
    private int role(DeviceId device) {
        return rig.setting(device, Purpose.ROLE)
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
                        Phrase.of(ROOM, "apart").with("one", one).with("other", other),
                        Phrase.of(ROOM, "apart.fix"),
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
