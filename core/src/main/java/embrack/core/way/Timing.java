package embrack.core.way;

import embrack.core.gear.Connector;
import embrack.core.gear.Purpose;
import embrack.core.midi.Wire;
import embrack.core.rig.Buffering;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Measured;
import embrack.core.rig.Rig;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** How long the pieces of a way take. */
public final class Timing {

    /** A full-speed USB frame, 1 ms. Source: USB 2.0 Specification, 5.3.3. */
    public static final long USB_FRAME_MICROS = 1_000;

    /**
     * A DMX universe of 512 slots at its shortest: a break of 92, a mark of 12, and 513 slots of 44 microseconds.
     * Source: ANSI E1.11, "DMX512-A", table 6.
     */
    public static final long DMX_FRAME_MICROS = 92 + 12 + 513 * 44;

    /** The longest connection interval in common use, 15 ms. Common practice, no source. */
    private static final long USUAL_INTERVAL_MICROS = 15_000;

    /** A session over cables: clocks agree, a few ms. Common practice, no source. */
    private static final Delay WIRED_SESSION = new Delay(300, 1_000, 3_000);

    /** A session over the air: tens of ms when it is busy. Common practice, no source. */
    private static final Delay WIFI_SESSION = new Delay(2_000, 8_000, 40_000);

    private final Ways ways;
    private final Rig rig;

    public Timing(Ways ways) {
        this.ways = ways;
        this.rig = ways.rig();
    }

    /**
     * All that takes time on a way, piece by piece, with what happens in the last box.
     *
     * @param own bytes of the message, 1 or more
     * @param ahead bytes that are queued before it in the same press, 0 or more
     */
    public List<Share> shares(SignalPath way, int own, int ahead) {
        return Stream.concat(
                        way.hops().stream().flatMap(hop -> pieces(hop, own, ahead)),
                        tail(way.last().arrivesAt()).stream())
                .toList();
    }

    /** How long a message is on its way until its last byte is in, without what happens in the last box. */
    public Delay travel(SignalPath way, int own) {
        return total(way.hops().stream().flatMap(hop -> pieces(hop, own, 0)).toList());
    }

    /**
     * What the links of a way must take that all of it takes as long as was measured. It falls to the link of which
     * least is known: the one whose wait is longest at worst. What is worked out of the other pieces is taken off at
     * its least, so that the way is never thought to be quicker than it was.
     *
     * @param own bytes of the message that was measured, 1 or more
     * @param all how long it took over the whole way
     * @return the link with what was measured at it; empty where nothing of the way is open: all of it is wire
     */
    public Optional<Link> measured(SignalPath way, int own, Delay all) {
        Optional<Hop> open = way.hops().stream()
                .filter(hop -> workedOut(hop, "").findAny().isPresent())
                .max(Comparator.comparing(
                        hop -> total(workedOut(hop, "").toList()).worst()));
        return open.map(hop -> {
            long others = total(Stream.concat(
                                    way.hops().stream()
                                            .filter(other -> !other.equals(hop))
                                            .flatMap(other -> pieces(other, own, 0)),
                                    passing(hop))
                            .toList())
                    .best();
            return hop.link()
                    .withMeasured(Optional.of(new Measured(
                            rest(all.best(), others), rest(all.usual(), others), rest(all.worst(), others))));
        });
    }

    private static int rest(long all, long others) {
        return Math.clamp(all - others, 0, Measured.LONGEST);
    }

    /** The sum of shares. */
    public static Delay total(List<Share> shares) {
        return shares.stream().map(Share::delay).reduce(Delay.NONE, Delay::plus);
    }

    /** The share that is longest at worst; empty when nothing takes time. */
    public static Optional<Share> biggest(List<Share> shares) {
        return shares.stream()
                .filter(share -> share.delay().worst() > 0)
                .reduce((a, b) -> b.delay().worst() > a.delay().worst() ? b : a);
    }

    /** What a piece takes beside the bytes on a 5-pin cable. */
    public Delay waiting(Hop hop) {
        return waits(hop).map(Share::delay).reduce(Delay.NONE, Delay::plus);
    }

    /** What happens in a receiver between the last byte and what is seen or heard. */
    public Optional<Share> tail(DeviceId device) {
        if (rig.model(device).ports().stream().anyMatch(p -> p.connector() == Connector.DMX)) {
            return Optional.of(new Share(
                    rig.name(device).text(),
                    "next DMX frame",
                    Delay.waitFor(DMX_FRAME_MICROS),
                    Wait.DMX,
                    Optional.empty(),
                    "A universe of fewer slots comes round sooner."));
        }
        return buffer(device)
                .map(buffer -> new Share(
                        rig.name(device).text(),
                        "buffer of " + bufferWords(device) + ", heard one later",
                        Delay.waitFor(buffer).plus(Delay.always(buffer)),
                        Wait.BUFFER,
                        Optional.of(device),
                        "Take a smaller buffer, as far as the computer plays without gaps."));
    }

    /** The buffer of an app in microseconds; empty for a box, and for an app that says nothing of one. */
    public Optional<Long> buffer(DeviceId device) {
        return Buffering.micros(rig, device);
    }

    private String bufferWords(DeviceId device) {
        return Stream.of(Purpose.BUFFER, Purpose.SAMPLE_RATE)
                .map(id -> rig.model(device)
                        .setting(id)
                        .orElseThrow()
                        .shown(rig.setting(device, id).orElseThrow()))
                .reduce((a, b) -> a + " at " + b)
                .orElseThrow();
    }

    private Stream<Share> pieces(Hop hop, int own, int ahead) {
        if (rig.kind(hop.link()) != LinkKind.FIVE_PIN || ways.isRepeated(hop)) {
            return waits(hop);
        }
        String where = rig.words(hop.from()) + " to " + rig.words(hop.to());
        long micros = Wire.micros(own);
        boolean first = hop.through().isEmpty();
        Share wire = new Share(
                where,
                own + " bytes on the wire" + (first ? "" : ", sent anew"),
                Delay.always(micros),
                Wait.WIRE,
                Optional.empty(),
                "A program change has two bytes; USB is faster than the wire.");
        Share queue = new Share(
                where,
                "what is sent before it",
                new Delay(0, Wire.micros(ahead) / 2, Wire.micros(ahead)),
                Wait.QUEUE,
                Optional.empty(),
                "Send less in one press, or recall it with one message.");
        return Stream.concat(waits(hop), ahead > 0 && first ? Stream.of(wire, queue) : Stream.of(wire));
    }

    private Stream<Share> waits(Hop hop) {
        String where = rig.words(hop.from()) + " to " + rig.words(hop.to());
        return Stream.concat(passing(hop), atLink(hop, where));
    }

    /** What a box takes until it passes on. */
    private Stream<Share> passing(Hop hop) {
        return hop.through().isEmpty()
                ? Stream.empty()
                : buffer(hop.from().device()).stream()
                        .map(buffer -> new Share(
                                rig.name(hop.from().device()).text(),
                                "next buffer",
                                Delay.waitFor(buffer),
                                Wait.BUFFER,
                                Optional.of(hop.from().device()),
                                "Take a smaller buffer."));
    }

    /** What the link itself takes beside the bytes. */
    private Stream<Share> atLink(Hop hop, String where) {
        return hop.link()
                .measured()
                .map(measured -> Stream.of(new Share(
                        where,
                        "as measured",
                        new Delay(measured.least(), measured.usual(), measured.worst()),
                        Wait.MEASURED,
                        Optional.empty(),
                        "Measured on this rig; measure again when anything of it has changed.")))
                .orElseGet(() -> workedOut(hop, where));
    }

    private Stream<Share> workedOut(Hop hop, String where) {
        return switch (rig.kind(hop.link())) {
            case USB ->
                Stream.of(new Share(
                        where,
                        "next USB frame",
                        Delay.waitFor(USB_FRAME_MICROS),
                        Wait.USB,
                        Optional.empty(),
                        "Nothing to win here: a frame is 1 ms."));
            case WIRELESS ->
                Stream.of(new Share(
                        where,
                        "next meeting of the two radios",
                        Delay.waitFor(interval(hop)),
                        Wait.RADIO,
                        slower(hop),
                        "A shorter connection interval, 7.5 ms at best; or a cable."));
            case NETWORK ->
                Stream.of(new Share(
                        where,
                        ways.readiness().isOnAir(hop.link()) ? "network, partly Wi-Fi" : "network by cable",
                        ways.readiness().isOnAir(hop.link()) ? WIFI_SESSION : WIRED_SESSION,
                        ways.readiness().isOnAir(hop.link()) ? Wait.WIFI : Wait.NETWORK,
                        Optional.empty(),
                        "Both computers on a cabled network of their own."));
            default -> Stream.empty();
        };
    }

    /** Two radios meet as often as the slower of them wants to. */
    private long interval(Hop hop) {
        return Stream.of(hop.from().device(), hop.to().device())
                .flatMap(device -> shown(device, Purpose.CONNECTION_INTERVAL).stream())
                .mapToLong(millis -> Math.round(millis * 1000))
                .max()
                .orElse(USUAL_INTERVAL_MICROS);
    }

    /** Of two radios the one that wants to meet less often. */
    private Optional<DeviceId> slower(Hop hop) {
        return Stream.of(hop.from().device(), hop.to().device())
                .filter(device -> shown(device, Purpose.CONNECTION_INTERVAL).isPresent())
                .max(Comparator.comparing(
                        device -> shown(device, Purpose.CONNECTION_INTERVAL).orElseThrow()));
    }

    private Optional<Double> shown(DeviceId device, Purpose id) {
        return Buffering.shown(rig, device, id);
    }
}
