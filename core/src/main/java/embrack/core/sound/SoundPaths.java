package embrack.core.sound;

import embrack.core.gear.Ear;
import embrack.core.gear.Model;
import embrack.core.gear.Passage;
import embrack.core.gear.Phantom;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.gear.SoundWay;
import embrack.core.rig.Buffering;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Feed;
import embrack.core.rig.Length;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.sound.Spread.Carried;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * All ways of sound in a rig. Built once for a rig, at the cost of its links and the ways in its boxes; what is heard
 * is then worked out for any {@link Stand}, at that cost for each source.
 */
public final class SoundPaths {

    private static final long MICROS_OF_A_TENTH = 100;

    private final Rig rig;
    private final Map<SoundPoint, Integer> numbers = new HashMap<>();
    private final List<SoundPoint> points = new ArrayList<>();
    private final List<Strand> strands = new ArrayList<>();
    private final List<Source> sources = new ArrayList<>();
    private final List<Listener> listeners = new ArrayList<>();
    private final Order order;

    /** Of each strand, the numbers of the points where it begins and ends. */
    private final int[] begins;

    private final int[] ends;

    /** Of each strand, how late it is, and its gain while everything is open. */
    private final long[] micros;

    private final double[] open;

    private final Map<Source, List<Spread>> spreads = new LinkedHashMap<>();

    public SoundPaths(Rig rig) {
        this.rig = rig;
        rig.devices().forEach(this::addPoints);
        rig.links().stream().filter(link -> rig.kind(link).carriesSound()).forEach(this::addLink);
        rig.devices().forEach(this::addInside);
        trim();
        rig.devices().forEach(this::addSources);
        addListeners();
        order = Order.of(points.size(), strands, this::number);
        begins = strands.stream().mapToInt(strand -> number(strand.from())).toArray();
        ends = strands.stream().mapToInt(strand -> number(strand.to())).toArray();
        micros = strands.stream().mapToLong(Strand::micros).toArray();
        open = strands.stream().mapToDouble(Passing::open).toArray();
        sources.forEach(source -> spreads.put(
                source,
                source.sides().stream()
                        .map(side -> new Spread(number(side), points.size(), order.strands(), begins, ends))
                        .toList()));
    }

    private void addPoints(Device device) {
        for (Port port : rig.model(device.id()).ports()) {
            if (port.carriesSound()) {
                Socket socket = new Socket(device.id(), port.id());
                channels(socket).forEach(point -> {
                    numbers.put(point, points.size());
                    points.add(point);
                });
            }
        }
    }

    /** The channels of a socket. */
    public List<SoundPoint> points(Socket socket) {
        return channels(socket).toList();
    }

    private Stream<SoundPoint> channels(Socket socket) {
        return IntStream.rangeClosed(1, rig.port(socket).signal().channels())
                .mapToObj(channel -> new SoundPoint(socket, channel));
    }

    private void addLink(Link link) {
        int channels = Math.min(
                rig.port(link.from()).signal().channels(),
                rig.port(link.to()).signal().channels());
        long late = rig.kind(link) == LinkKind.SOUND_INSIDE ? bufferMicros(link) : 0;
        for (int channel = 1; channel <= channels; channel++) {
            strands.add(new Strand(
                    new SoundPoint(link.from(), channel),
                    new SoundPoint(link.to(), channel),
                    Optional.of(link),
                    Optional.empty(),
                    0,
                    false,
                    late));
        }
    }

    /** Into a program and out of it a buffer is filled each time. */
    private long bufferMicros(Link link) {
        return Stream.of(link.from(), link.to())
                .filter(end -> rig.model(end.device()).isApp())
                .findFirst()
                .flatMap(end -> Buffering.micros(rig, end.device()))
                .orElse(0L);
    }

    private void addInside(Device device) {
        for (SoundWay way : rig.model(device.id()).sound().ways()) {
            strands.add(new Strand(
                    SoundPoint.of(device.id(), way.from()),
                    SoundPoint.of(device.id(), way.to()),
                    Optional.empty(),
                    Optional.of(way),
                    way.passage().decibels() + device.sound().send(way).decibels(),
                    way.passage().inverted()
                            != device.sound().inverted().contains(way.from().port()),
                    way.passage().tenthsLate() * MICROS_OF_A_TENTH));
        }
    }

    /**
     * An input with a gain knob is taken to be set right: what boxes before it took away or added is made good there,
     * so that a DI is no loss.
     */
    private void trim() {
        Set<Socket> withGain = withGain();
        Map<SoundPoint, List<Strand>> arriving = new HashMap<>();
        strands.forEach(strand ->
                arriving.computeIfAbsent(strand.to(), p -> new ArrayList<>()).add(strand));
        for (int i = 0; i < strands.size(); i++) {
            Strand strand = strands.get(i);
            if (strand.link().isPresent() && withGain.contains(strand.to().socket())) {
                strands.set(i, strand.withDecibels(-fixed(strand.from(), arriving, withGain, new HashSet<>())));
            }
        }
    }

    private Set<Socket> withGain() {
        Set<Socket> inputs = new HashSet<>();
        for (Device device : rig.devices()) {
            Model model = rig.model(device.id());
            model.ports().stream()
                    .filter(port -> port.carriesSound() && port.signal().phantom() == Phantom.GIVES)
                    .forEach(port -> inputs.add(new Socket(device.id(), port.id())));
            model.sound().runs().stream()
                    .filter(run -> run.passage().send() != Passage.Send.FIXED)
                    .flatMap(run -> run.from().stream())
                    .forEach(end -> inputs.add(new Socket(device.id(), end.port())));
        }
        return inputs;
    }

    /** What the loudest of the fixed ways before a point adds, back to what makes the sound or sets it. */
    private static double fixed(
            SoundPoint point, Map<SoundPoint, List<Strand>> arriving, Set<Socket> withGain, Set<SoundPoint> seen) {
        if (!seen.add(point)) {
            return 0;
        }
        return arriving.getOrDefault(point, List.of()).stream()
                .filter(strand -> strand.link()
                        .map(link -> !withGain.contains(link.to()))
                        .orElseGet(() -> strand.way()
                                .filter(way -> way.passage().send() == Passage.Send.FIXED)
                                .isPresent()))
                .mapToDouble(strand ->
                        strand.way().map(way -> way.passage().decibels()).orElse(0.0)
                                + fixed(strand.from(), arriving, withGain, seen))
                .max()
                .orElse(0);
    }

    private void addSources(Device device) {
        Model model = rig.model(device.id());
        Map<Sound, List<SoundPoint>> sides = new EnumMap<>(Sound.class);
        for (Port port : model.ports()) {
            Feed feed = device.feed(port.id());
            Sound made = model.sound().sources().get(port.id());
            Stream<Sound> sounds = feed.isUsed() || made == null ? feed.sounds().stream() : Stream.of(made);
            sounds.forEach(sound -> sides.computeIfAbsent(sound, s -> new ArrayList<>())
                    .addAll(channels(new Socket(device.id(), port.id())).toList()));
        }
        sides.forEach((sound, where) -> sources.add(new Source(device.id(), sound, where)));
    }

    private void addListeners() {
        Map<Ear, List<SoundPoint>> said = new EnumMap<>(Ear.class);
        for (Device device : rig.devices()) {
            Map<Ear, List<SoundPoint>> hears = new EnumMap<>(Ear.class);
            ears(rig.model(device.id()))
                    .forEach((port, ear) -> hears.computeIfAbsent(ear, e -> new ArrayList<>())
                            .addAll(channels(new Socket(device.id(), port)).toList()));
            hears.forEach((ear, ends) -> listeners.add(new Listener(Optional.of(device.id()), ear, ends)));
            device.feeds().forEach((output, feed) -> {
                Socket socket = new Socket(device.id(), output);
                if (!isJoined(socket)) {
                    feed.to()
                            .forEach(ear -> said.computeIfAbsent(ear, e -> new ArrayList<>())
                                    .addAll(channels(socket).toList()));
                }
            });
        }
        said.forEach((ear, ends) -> listeners.add(new Listener(Optional.empty(), ear, ends)));
    }

    /** Ears in the order of the sockets on the box. */
    private static Map<PortId, Ear> ears(Model model) {
        Map<PortId, Ear> ears = new LinkedHashMap<>();
        model.ports().forEach(port -> {
            Ear ear = model.sound().ears().get(port.id());
            if (ear != null) {
                ears.put(port.id(), ear);
            }
        });
        return ears;
    }

    /** Whether a lead is in a socket for sound. */
    public boolean isJoined(Socket socket) {
        return rig.linksIn(socket).stream().anyMatch(link -> rig.kind(link).carriesSound());
    }

    private int number(SoundPoint point) {
        Integer number = numbers.get(point);
        if (number == null) {
            throw new IllegalArgumentException("no sound passes %s".formatted(point));
        }
        return number;
    }

    public Rig rig() {
        return rig;
    }

    /** What begins to sound, in the order of the rig. */
    public List<Source> sources() {
        return Collections.unmodifiableList(sources);
    }

    /** Who hears, in the order of the rig; last those of whom it is only said. */
    public List<Listener> listeners() {
        return Collections.unmodifiableList(listeners);
    }

    /** All steps that sound can take. */
    public List<Strand> strands() {
        return Collections.unmodifiableList(strands);
    }

    /** Where it comes round to where it was, each ring as the strands of it. */
    public List<List<Strand>> rings() {
        return order.rings().stream()
                .map(ring -> ring.stream().map(strands::get).toList())
                .toList();
    }

    /** What is heard while everything stands so. */
    public Heard heard(Stand stand) {
        return heard(stand, strand -> false);
    }

    /** What is heard while everything stands so and some of it lets nothing through: a lead that is out, a dark box. */
    public Heard heard(Stand stand, Predicate<Strand> isOut) {
        double[] factors = open.clone();
        for (int i = 0; i < factors.length; i++) {
            Strand strand = strands.get(i);
            factors[i] = isOut.test(strand) ? 0 : Passing.factor(rig, strand, stand, factors[i]);
        }
        Map<Source, List<Carried>> sides = new LinkedHashMap<>();
        spreads.forEach((source, each) -> sides.put(
                source,
                each.stream().map(spread -> spread.carried(factors, micros)).toList()));
        return new Heard(this, sides, factors);
    }

    Arrival arrival(List<Carried> sides, Listener listener) {
        long air = listener.device()
                .flatMap(device -> rig.device(device).sound().away())
                .map(Air::micros)
                .orElse(0L);
        return new Arrival(sides.stream()
                .map(side -> listener.ends().stream()
                        .map(end -> side.at(number(end)).through(1, air))
                        .toList())
                .toList());
    }

    /** The strands that lead from a source to a listener, in the order of the sound. */
    List<Strand> way(Source source, Listener listener, double[] factors) {
        boolean[] reached = reached(source, factors);
        boolean[] leads = leads(listener, factors);
        return order.strands().stream()
                .filter(strand -> factors[strand] != 0)
                .map(strands::get)
                .filter(strand -> reached[number(strand.from())] && leads[number(strand.to())])
                .toList();
    }

    /** Sends that are shut, each of which would lead from a source to a listener if it were open. */
    public List<Strand> openings(Source source, Listener listener) {
        boolean[] reached = reached(source, open);
        boolean[] leads = leads(listener, open);
        return strands.stream()
                .filter(strand -> strand.decibels() == Double.NEGATIVE_INFINITY
                        && reached[number(strand.from())]
                        && leads[number(strand.to())])
                .toList();
    }

    /** The strands that a source can come to at all, in the order of the sound. */
    List<Strand> reach(Source source) {
        boolean[] reached = reached(source, open);
        return order.strands().stream()
                .filter(strand -> reached[begins[strand]])
                .map(strands::get)
                .toList();
    }

    private boolean[] reached(Source source, double[] factors) {
        boolean[] reached = new boolean[points.size()];
        source.sides().forEach(side -> reached[number(side)] = true);
        order.strands().stream()
                .filter(strand -> factors[strand] != 0)
                .forEach(strand -> reached[ends[strand]] |= reached[begins[strand]]);
        return reached;
    }

    private boolean[] leads(Listener listener, double[] factors) {
        boolean[] leads = new boolean[points.size()];
        listener.ends().forEach(end -> leads[number(end)] = true);
        order.strands().reversed().stream()
                .filter(strand -> factors[strand] != 0)
                .forEach(strand -> leads[begins[strand]] |= leads[ends[strand]]);
        return leads;
    }

    /** How far the ears of a listener are from what they hear. */
    public Optional<Length> away(Listener listener) {
        return listener.device().flatMap(device -> rig.device(device).sound().away());
    }

    /** What a device makes or hears, by key. */
    public Optional<Source> source(String key) {
        return sources.stream().filter(source -> source.key().equals(key)).findFirst();
    }

    public Optional<Listener> listener(String key) {
        return listeners.stream().filter(listener -> listener.key().equals(key)).findFirst();
    }

    /** Sources of a device, by what they make. */
    public Map<Sound, Source> of(DeviceId device) {
        Map<Sound, Source> made = new TreeMap<>();
        sources.stream().filter(source -> source.device().equals(device)).forEach(s -> made.put(s.sound(), s));
        return made;
    }
}
