package embrack.core.rig;

import embrack.core.gear.Connector;
import embrack.core.gear.Direction;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.gear.SharedSocket;
import embrack.core.name.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** What can be joined to what, and why not. */
public final class Linking {

    /** What a port can hold if nothing limits it. */
    private static final int MANY = 1_000;

    private static final String SOUND = "sound";

    private Linking() {}

    /**
     * Why two ports cannot be joined, as a sentence that also says what would make it possible; empty when they can.
     *
     * @param from the port that is to send; of a link that carries both ways, the one nearer to the hands
     * @param to the port that is to receive
     */
    public static Optional<String> refusal(Rig rig, Socket from, Socket to) {
        if (from.device().equals(to.device())) {
            return Optional.of(
                    "Both ends are in %s. A link goes from one box to another.".formatted(rig.name(from.device())));
        }
        Optional<LinkKind> kind =
                LinkKind.between(rig.port(from).connector(), rig.port(to).connector());
        if (kind.isEmpty()) {
            return Optional.of("%s is %s and %s is %s; one does not fit the other. %s"
                    .formatted(
                            rig.words(from),
                            rig.port(from).connector().words(),
                            rig.words(to),
                            rig.port(to).connector().words(),
                            GoBetween.advice(rig, from, to)));
        }
        Stream<Supplier<Optional<String>>> reasons = Stream.of(
                () -> againstTheStream(rig, from, to, kind.get()),
                () -> ruleOf(rig, from, to, kind.get()),
                () -> thereAlready(rig, from, to),
                () -> full(rig, from, to, kind.get()),
                () -> full(rig, to, from, kind.get()),
                () -> shared(rig, from),
                () -> shared(rig, to));
        return reasons.flatMap(reason -> reason.get().stream()).findFirst();
    }

    /**
     * As {@link #refusal}, for two ports of which either may be the one that sends; the reason is that of the better
     * way round.
     */
    public static Optional<String> refusalEitherWay(Rig rig, Socket one, Socket other) {
        Optional<String> there = refusal(rig, one, other);
        Optional<String> back = refusal(rig, other, one);
        return there.isEmpty() || back.isEmpty()
                ? Optional.empty()
                : rig.port(one).direction().isSending() ? there : back;
    }

    /**
     * The link between two ports, whichever was named first: where only the other way round can be, it is that way; a
     * USB link runs from the device to the host.
     */
    public static Link oriented(Rig rig, Socket from, Socket to) {
        boolean fromHost =
                rig.port(from).connector() == Connector.USB_HOST && rig.port(to).connector() == Connector.USB_DEVICE;
        boolean onlyBack =
                refusal(rig, from, to).isPresent() && refusal(rig, to, from).isEmpty();
        return fromHost || onlyBack ? new Link(to, from) : new Link(from, to);
    }

    /** A box whose shared socket has more uses than it can have at once; empty when there is none. */
    static Optional<String> overfull(Rig rig) {
        return rig.devices().stream()
                .flatMap(device -> rig.model(device.id()).sockets().shared().stream()
                        .filter(shared -> uses(rig, device, shared).count() > shared.atOnce())
                        .map(shared -> tooMany(
                                shared, device, uses(rig, device, shared).toList())))
                .findFirst();
    }

    /** What a device uses a shared socket for: "USB to Desk board USB", "sound". */
    public static Stream<String> uses(Rig rig, Device device, SharedSocket shared) {
        return Stream.concat(
                shared.ports().stream()
                        .map(port -> new Socket(device.id(), port))
                        .filter(socket -> rig.linksIn(socket).stream()
                                .anyMatch(link -> rig.kind(link).isCable()
                                        && !rig.kind(link).carriesSound()))
                        .map(socket -> rig.port(socket).name().text()),
                shared.ports().stream().anyMatch(port -> sounds(rig, device, port))
                        ? Stream.of(SOUND)
                        : Stream.empty());
    }

    private static boolean sounds(Rig rig, Device device, PortId port) {
        return device.feed(port).isUsed()
                || rig.linksIn(new Socket(device.id(), port)).stream()
                        .anyMatch(link -> rig.kind(link).carriesSound());
    }

    /** What a port is used for: both sides of a headphone socket are one use. */
    private static String use(Rig rig, Socket socket) {
        return rig.port(socket).carriesSound() ? SOUND : rig.port(socket).name().text();
    }

    /**
     * What has to be between the plug and the socket, for a 5-pin or TRS cable between unlike ends; empty when nothing
     * has.
     */
    public static Optional<String> adapter(Rig rig, Link link) {
        Connector from = rig.port(link.from()).connector();
        Connector to = rig.port(link.to()).connector();
        return rig.kind(link) == LinkKind.FIVE_PIN && from != to
                ? Optional.of("%s to %s adapter".formatted(from.words(), to.words()))
                : Optional.empty();
    }

    /** The cable by its plugs where it is one for sound, else by what it carries: "mono jack to XLR", "5-pin". */
    public static String cable(Rig rig, Link link) {
        Connector from = rig.port(link.from()).connector();
        Connector to = rig.port(link.to()).connector();
        if (rig.kind(link) != LinkKind.SOUND) {
            return rig.kind(link).words();
        }
        Connector known = from == Connector.AUDIO ? to : from;
        return known == Connector.AUDIO
                ? SOUND
                : to == Connector.AUDIO || known == to
                        ? known.words()
                        : "%s to %s".formatted(known.words(), to.words());
    }

    private static Optional<String> againstTheStream(Rig rig, Socket from, Socket to, LinkKind kind) {
        if (kind.isBothWays()) {
            return Optional.empty();
        }
        Direction sender = rig.port(from).direction();
        Direction receiver = rig.port(to).direction();
        String out = kind == LinkKind.FIVE_PIN ? "an OUT or THRU" : "what sends";
        if (sender.isSending() && receiver.isReceiving()) {
            return Optional.empty();
        }
        if (sender.isSending()) {
            return Optional.of("%s and %s both send. A link goes from %s to an IN."
                    .formatted(rig.words(from), rig.words(to), out));
        }
        return Optional.of(
                receiver.isSending()
                        ? "%s only receives, so the link starts at %s. Swap the two ends."
                                .formatted(rig.words(from), rig.words(to))
                        : "%s and %s both only receive. A link starts at %s."
                                .formatted(rig.words(from), rig.words(to), out));
    }

    private static Optional<String> ruleOf(Rig rig, Socket from, Socket to, LinkKind kind) {
        return switch (kind) {
            case FIVE_PIN, POWER, SOUND -> Optional.empty();
            case SOUND_INSIDE -> soundInside(rig, from, to);
            case USB -> reserved(rig, from, to).or(() -> reserved(rig, to, from));
            case WIRELESS -> wireless(rig, from, to);
            case NETWORK -> session(rig, from, to);
            case INSIDE -> inside(rig, from, to);
        };
    }

    private static Optional<String> reserved(Rig rig, Socket host, Socket other) {
        return rig.port(host).forOneController() && isHub(rig.model(other.device()))
                ? Optional.of(("%s is kept for one controller; a hub does not work in it. Plug the controller "
                                + "itself in, or put the hub into a computer.")
                        .formatted(rig.words(host)))
                : Optional.empty();
    }

    private static boolean isHub(Model model) {
        return model.kind() == Kind.INTERFACE
                && model.ports().stream()
                                .filter(p -> p.connector() == Connector.USB_HOST)
                                .count()
                        > 1;
    }

    private static Optional<String> wireless(Rig rig, Socket from, Socket to) {
        if (rig.port(from).connector() == Connector.WIFI) {
            return isRouter(rig, from) != isRouter(rig, to)
                    ? Optional.empty()
                    : Optional.of("%s and %s do not meet on Wi-Fi by themselves. Join each to a router."
                            .formatted(rig.words(from), rig.words(to)));
        }
        return canConnect(rig, from) || canConnect(rig, to)
                ? Optional.empty()
                : Optional.of(("%s and %s both only offer themselves; one side has to connect. A tablet or computer "
                                + "can stand between them.")
                        .formatted(rig.words(from), rig.words(to)));
    }

    /** A session asks for the other computer: it is never joined to the one that it runs on. */
    private static Optional<String> session(Rig rig, Socket from, Socket to) {
        return Stream.of(from, to)
                .filter(end -> rig.model(end.device()).isApp()
                        && rig.box(end.device())
                                .equals(rig.box(beyond(from, to, end).device())))
                .findFirst()
                .map(end -> "%s runs on %s itself; a session asks for the other computer. Join it to the session there."
                        .formatted(rig.name(end.device()), rig.name(rig.box(end.device()))));
    }

    private static boolean isRouter(Rig rig, Socket socket) {
        return rig.model(socket.device()).kind() == Kind.INTERFACE;
    }

    /** Computers, tablets and boxes with a role to choose can; a controller only offers itself. */
    private static boolean canConnect(Rig rig, Socket socket) {
        Model model = rig.model(socket.device());
        return model.kind() == Kind.HOST || model.setting(Purpose.ROLE).isPresent();
    }

    private static Optional<String> inside(Rig rig, Socket from, Socket to) {
        for (Socket end : List.of(from, to)) {
            Model model = rig.model(end.device());
            if (model.isApp() && rig.device(end.device()).spot().host().isEmpty()) {
                return Optional.of("%s lives in no computer yet. Say first which one it runs on."
                        .formatted(rig.name(end.device())));
            }
            if (!model.isApp() && model.kind() != Kind.HOST) {
                return Optional.of(
                        ("%s is inside a computer and %s is not. Join %s to the computer, and the app to the "
                                        + "computer's socket. %s")
                                .formatted(
                                        rig.words(beyond(from, to, end)),
                                        rig.words(end),
                                        rig.name(end.device()),
                                        GoBetween.advice(rig, from, to)));
            }
            if (rig.port(end).connector() == Connector.NETWORK || rig.port(end).connector() == Connector.WIFI) {
                return Optional.of(
                        ("Messages cross a network in a session only. Put a network session into the computer "
                                        + "and join %s to that.")
                                .formatted(rig.name(beyond(from, to, end).device())));
            }
        }
        return rig.box(from.device()).equals(rig.box(to.device()))
                ? Optional.empty()
                : Optional.of(("%s is in %s and %s is in %s; inside means one computer. A network session or an "
                                + "interface leads from one to the other.")
                        .formatted(
                                rig.name(from.device()),
                                rig.name(rig.box(from.device())),
                                rig.name(to.device()),
                                rig.name(rig.box(to.device()))));
    }

    /** A program's sound goes to another of its computer, or to a box whose cable is plugged into that. */
    private static Optional<String> soundInside(Rig rig, Socket from, Socket to) {
        for (Socket end : List.of(from, to)) {
            if (rig.model(end.device()).isApp()
                    && rig.device(end.device()).spot().host().isEmpty()) {
                return Optional.of("%s lives in no computer yet. Say first which one it runs on."
                        .formatted(rig.name(end.device())));
            }
        }
        return isCarried(rig, rig.links(), from, to)
                ? Optional.empty()
                : Optional.of("%s is not plugged into %s, so no sound goes from one to the other. Link their USB first."
                        .formatted(rig.name(to.device()), rig.name(rig.box(from.device()))));
    }

    /** Whether sound inside can go from one to the other over some links. */
    private static boolean isCarried(Rig rig, List<Link> links, Socket from, Socket to) {
        DeviceId one = rig.box(from.device());
        DeviceId other = rig.box(to.device());
        return one.equals(other)
                || links.stream()
                        .anyMatch(link -> link.isIn(one)
                                && link.isIn(other)
                                && (rig.kind(link) == LinkKind.USB || rig.kind(link) == LinkKind.NETWORK));
    }

    /** Those of some links of a rig that can be without the others: what goes over a cable goes with it. */
    static List<Link> standing(Rig rig, List<Link> left) {
        return left.stream()
                .filter(link -> rig.kind(link) != LinkKind.SOUND_INSIDE || isCarried(rig, left, link.from(), link.to()))
                .toList();
    }

    private static Socket beyond(Socket from, Socket to, Socket end) {
        return end.equals(from) ? to : from;
    }

    private static Optional<String> thereAlready(Rig rig, Socket from, Socket to) {
        return rig.link(from, to)
                .or(() -> rig.link(to, from))
                .map(link -> "%s and %s are joined already.".formatted(rig.words(from), rig.words(to)));
    }

    private static Optional<String> full(Rig rig, Socket socket, Socket other, LinkKind kind) {
        List<Link> holds = rig.linksIn(socket).stream()
                .filter(link -> rig.kind(link) == kind && !isSession(rig, link))
                .toList();
        boolean session = kind == LinkKind.NETWORK && rig.model(other.device()).isApp();
        return session || holds.size() < capacity(rig, socket, kind)
                ? Optional.empty()
                : Optional.of("%s already holds the link %s. It takes one; pull that one first."
                        .formatted(rig.words(socket), rig.words(holds.getFirst())));
    }

    private static int capacity(Rig rig, Socket socket, LinkKind kind) {
        Model model = rig.model(socket.device());
        return switch (kind) {
            case FIVE_PIN, USB, POWER, SOUND -> 1;
            case INSIDE, SOUND_INSIDE -> MANY;
            case WIRELESS ->
                model.kind() == Kind.HOST && rig.port(socket).connector() == Connector.BLUETOOTH
                                || isRouter(rig, socket) && rig.port(socket).connector() == Connector.WIFI
                        ? MANY
                        : 1;
            case NETWORK -> model.isApp() ? MANY : 1;
        };
    }

    /** Whether a network link is a session between programs, which needs no socket of its own. */
    public static boolean isSession(Rig rig, Link link) {
        return rig.kind(link) == LinkKind.NETWORK
                && (rig.model(link.from().device()).isApp()
                        || rig.model(link.to().device()).isApp());
    }

    private static Optional<String> shared(Rig rig, Socket socket) {
        Device device = rig.device(socket.device());
        return rig.model(device.id()).sockets().shared().stream()
                .filter(shared -> shared.ports().contains(socket.port()))
                .filter(shared -> uses(rig, device, shared)
                                .filter(use -> !use.equals(use(rig, socket)))
                                .count()
                        >= shared.atOnce())
                .map(shared -> tooMany(
                        shared,
                        device,
                        Stream.concat(Stream.of(use(rig, socket)), uses(rig, device, shared))
                                .distinct()
                                .toList()))
                .findFirst();
    }

    private static String tooMany(SharedSocket shared, Device device, List<String> uses) {
        return ("%s of %s is for %d of these at once: %s. Ways out: a powered adapter in it, which takes power and a "
                        + "controller; or wireless for one of them.")
                .formatted(capital(shared.name().text()), device.name(), shared.atOnce(), Words.list(uses));
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
