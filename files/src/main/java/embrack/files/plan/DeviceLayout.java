package embrack.files.plan;

import static embrack.files.json.Shapes.keyed;
import static embrack.files.json.Shapes.list;
import static embrack.files.json.Shapes.one;
import static embrack.files.json.Shapes.readAs;
import static embrack.files.json.Shapes.texts;
import static embrack.files.json.Shapes.truth;
import static embrack.files.json.Shapes.whole;
import static embrack.files.json.Shapes.wholes;
import static embrack.files.json.Shapes.word;
import static embrack.files.json.Shapes.words;

import embrack.core.chart.Action;
import embrack.core.chart.ChartReading;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.PartId;
import embrack.core.chart.Response;
import embrack.core.chart.Verb;
import embrack.core.gear.Ear;
import embrack.core.gear.Model;
import embrack.core.gear.PortId;
import embrack.core.gear.Route;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.gear.Sound;
import embrack.core.gear.SoundEnd;
import embrack.core.gear.SoundRoute;
import embrack.core.midi.Channel;
import embrack.core.name.TapeLabel;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Feed;
import embrack.core.rig.HandWork;
import embrack.core.rig.Length;
import embrack.core.rig.Link;
import embrack.core.rig.Measured;
import embrack.core.rig.MemoryUse;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Pair;
import embrack.core.rig.Send;
import embrack.core.rig.Socket;
import embrack.core.rig.SoundUse;
import embrack.core.rig.Spot;
import embrack.core.rig.Traffic;
import embrack.files.json.Layout;
import embrack.files.json.Shape;
import embrack.files.json.Shapes.Reader;
import embrack.files.json.Text;
import embrack.files.model.FileWords;
import embrack.files.model.Texts;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The fields of devices, links and pairs. */
final class DeviceLayout {

    private static final int MAX_RUNS = 256;

    static final Text<DeviceId> ID = Texts.id("deviceId", "the id of a device", DeviceId::new, DeviceId::text);

    /** A device that stands in the file before. */
    static final Shape<RigSoFar, DeviceId> KNOWN = readAs(
            ID,
            (fields, name, before) -> fields.text(name, text -> before.context().device(text)));

    /** What is done, as files have it. */
    static final Text<Verb> VERB = new Text<>(
            "verb",
            "one of " + Stream.of(Verb.values()).map(Verb::key).collect(Collectors.joining(", ")),
            Texts.choice(Stream.of(Verb.values()).map(Verb::key).toList()),
            Verb::parse,
            Verb::key);

    private static final Layout<Object, Map.Entry<Route, MidiFilter>> FILTER =
            Layout.of("way-through", "What a way through a device lets pass.", t -> {
                var from = t.needs(
                        "from", Texts.PORT, "where it comes in", e -> e.getKey().from());
                var to = t.needs(
                        "to", Texts.PORT, "where it goes out", e -> e.getKey().to());
                var open = t.needs(
                        "open",
                        truth(),
                        "whether anything passes",
                        e -> e.getValue().open());
                var stopped = t.or(
                        "stopped",
                        words(FileWords.byWord(Traffic.values())),
                        new TreeSet<>(),
                        "sorts of message that are kept back",
                        e -> e.getValue().stopped());
                var channels = t.or(
                        "channels",
                        wholes(1, 16),
                        List.of(),
                        "the channels that pass; without it, all",
                        e -> List.copyOf(e.getValue().channels()));
                var onto = t.may(
                        "onto",
                        whole(1, 16),
                        "the channel that everything leaves on; without it, each keeps its own",
                        e -> e.getValue().onto().map(Channel::number));
                return g -> Map.entry(
                        new Route(g.get(from), g.get(to)),
                        new MidiFilter(
                                g.get(open),
                                new TreeSet<>(g.get(stopped)),
                                new TreeSet<>(g.get(channels)),
                                g.get(onto).map(Channel::new)));
            });

    private static final Text<SoundEnd> SOUND_END = new Text<>(
            "sound-end",
            "the id of a port, and behind a stroke its channel, where that is not the first",
            Texts.pattern("^[a-z0-9][a-z0-9-]{0,39}(/[0-9]{1,2})?$"),
            SoundEnd::parse,
            SoundEnd::key);

    private static final Layout<Object, Map.Entry<SoundRoute, Send>> SEND =
            Layout.of("send", "How much of one thing is in another.", t -> {
                var from = t.needs(
                        "from", SOUND_END, "where it comes in", e -> e.getKey().from());
                var to = t.needs(
                        "to", SOUND_END, "where it goes out", e -> e.getKey().to());
                var open = t.either(
                        "open",
                        truth(),
                        true,
                        "whether anything passes; true where it is not said",
                        e -> Optional.of(e.getValue().open()));
                var tenths = t.or(
                        "tenthsOfDecibels",
                        whole(-800, 200),
                        0,
                        "how loud",
                        e -> e.getValue().tenths());
                return g -> Map.entry(new SoundRoute(g.get(from), g.get(to)), new Send(g.get(open), g.get(tenths)));
            });

    private static final Layout<Object, Map.Entry<PortId, Feed>> FEED =
            Layout.of("sound-output", "What is on a sound output.", t -> {
                var output = t.needs("output", Texts.PORT, "the output", Map.Entry::getKey);
                var sounds = t.needs(
                        "sounds",
                        words(FileWords.byWord(Sound.values())),
                        "what is on it",
                        e -> e.getValue().sounds());
                var to = t.needs(
                        "to",
                        words(FileWords.byWord(Ear.values())),
                        "who hears it",
                        e -> e.getValue().to());
                return g -> Map.entry(g.get(output), new Feed(g.get(sounds), g.get(to)));
            });

    private static final Layout<Object, Map.Entry<Integer, PartId>> PROGRAM =
            Layout.of("program", "What a program of an edited table chooses.", t -> {
                var program = t.needs("program", whole(0, 127), "as sent", Map.Entry::getKey);
                var part = t.needs("part", Texts.PART, "what it chooses", Map.Entry::getValue);
                return g -> Map.entry(g.get(program), g.get(part));
            });

    private static final Layout<Object, Map.Entry<LearnableId, Learned>> LEARNED =
            Layout.of("learned", "The message that a device has been given for something that it learns.", t -> {
                var verb = t.needs(
                        "verb", VERB, "what it does then", e -> e.getKey().verb());
                var part =
                        t.needs("part", Texts.PART, "with what", e -> e.getKey().part());
                var type = t.needs(
                        "type",
                        word(FileWords.VOICES),
                        "the type of the message",
                        e -> e.getValue().type());
                var channel = t.may(
                        "channel",
                        whole(1, 16),
                        "missing for the channel that the device is set to",
                        e -> e.getValue().channel().map(Channel::number));
                var number = t.needs(
                        "number", whole(0, 127), "as sent", e -> e.getValue().number());
                var alternating = t.either(
                        "alternating",
                        truth(),
                        false,
                        "turns round each time, whatever the value",
                        e -> response(e.getValue()).map(Response::alternating));
                var low = t.either(
                        "low",
                        whole(0, 127),
                        Response.PLAIN.low(),
                        "what it makes of value 0",
                        e -> response(e.getValue()).map(Response::low));
                var high = t.either(
                        "high",
                        whole(0, 127),
                        Response.PLAIN.high(),
                        "what it makes of value 127",
                        e -> response(e.getValue()).map(Response::high));
                var pinned = t.or(
                        "pinned",
                        truth(),
                        false,
                        "by hand, so that it is never chosen anew",
                        e -> e.getValue().pinned());
                return g -> Map.entry(
                        new LearnableId(g.get(verb), g.get(part)),
                        new Learned(
                                g.get(type),
                                g.get(channel).map(Channel::new),
                                g.get(number),
                                new Response(g.get(alternating), g.get(low), g.get(high)),
                                g.get(pinned)));
            });

    private static final Layout<Object, Action> STATE =
            Layout.of("state", "A state that somebody sets a part to.", t -> {
                var verb = t.needs("verb", VERB, "what the part is made to do", Action::verb);
                var part = t.needs("part", Texts.PART, "the part", Action::part);
                var amount =
                        t.may("amount", whole(0, 127), "how much, for the verb `level` and no other", Action::amount);
                return g -> new Action(g.get(verb), g.get(part), g.get(amount));
            });

    /** A device; the rig grows by it. */
    static final Layout<RigSoFar, Device> DEVICE =
            Layout.of("device", "A job in the rig and the hardware that does it.", t -> {
                var id = t.needs("id", ID, "used inside the file only", Device::id);
                var name = t.needs("name", Texts.LABEL, "its job", Device::name);
                var model = t.needs(
                        "model",
                        readAs(
                                Texts.MODEL,
                                (fields, field, before) -> fields.text(
                                        field,
                                        text -> before.context()
                                                .model(Texts.MODEL.parse().apply(text))
                                                .id())),
                        "the hardware that does it today",
                        Device::model);
                Reader<RigSoFar, Map.Entry<SettingId, Integer>> setting = (values, key, g) -> {
                    Setting known = values.fit(key, () -> setting(g.context().model(g.get(model)), key));
                    int value = values.integer(key);
                    return Map.entry(known.id(), values.fit(key, () -> known.checked(value)));
                };
                var settings = t.or(
                        "settings",
                        keyed(Texts.SETTING, whole(), setting),
                        new TreeMap<>(),
                        "settings that differ from the factory's, as the box shows them; of a setting with words"
                                + " their place, from its `min`",
                        Device::settings);
                Reader<RigSoFar, Map.Entry<PartId, TapeLabel>> label = (values, key, g) -> Map.entry(
                        values.fit(key, () -> g.context().part(g.context().model(g.get(model)), new PartId(key)))
                                .id(),
                        values.text(key, TapeLabel::new));
                var labels = t.or(
                        "labels",
                        keyed(Texts.PART, Texts.LABEL, label),
                        new TreeMap<>(),
                        "tape on parts: what this show calls them",
                        Device::labels);
                var area = t.either(
                        "area",
                        word(FileWords.byWord(Area.values())),
                        Area.FLOOR,
                        "where it stands, which is also the case it travels in; the floor without it",
                        d -> Optional.of(d.spot().area()));
                var host = t.may(
                        "livesIn",
                        ID,
                        "the computer or tablet that an app runs on",
                        d -> d.spot().host());
                var filters = t.or(
                        "passes",
                        list(FILTER, MAX_RUNS),
                        List.of(),
                        "ways through it that differ from a new box",
                        d -> List.copyOf(d.filters().entrySet()));
                var feeds = t.or(
                        "feeds",
                        list(FEED, MAX_RUNS),
                        List.of(),
                        "what is on its sound outputs",
                        d -> List.copyOf(d.feeds().entrySet()));
                var sends = t.or(
                        "sends",
                        list(SEND, 4_096),
                        List.of(),
                        "how much of one thing is in another, where that differs from a new box",
                        d -> List.copyOf(d.sound().sends().entrySet()));
                var phantom = t.or(
                        "phantom",
                        texts(Texts.PORT, 0, MAX_RUNS),
                        List.of(),
                        "inputs whose 48 V are on",
                        d -> List.copyOf(d.sound().phantom()));
                var inverted = t.or(
                        "inverted",
                        texts(Texts.PORT, 0, MAX_RUNS),
                        List.of(),
                        "inputs whose polarity is turned round",
                        d -> List.copyOf(d.sound().inverted()));
                var wants = t.or(
                        "wants",
                        words(FileWords.byWord(Sound.values())),
                        new TreeSet<>(),
                        "what whoever hears it cannot play without",
                        d -> d.sound().wants());
                var away = t.may(
                        "centimetresAway",
                        whole(10, 20_000),
                        "how far the ears are from it through air",
                        d -> d.sound().away().map(Length::centimetres));
                var learned = t.or(
                        "learned",
                        list(LEARNED, 512),
                        List.of(),
                        "the messages that it has been given for what it learns",
                        d -> List.copyOf(d.learned().entrySet()));
                var table = t.or(
                        "table",
                        list(PROGRAM, 128),
                        List.of(),
                        "programs of its table that were edited",
                        d -> List.copyOf(d.table().entrySet()));
                var first = t.may(
                        "memoriesUsed",
                        whole(0, 1_000),
                        "how many of its memories the show uses, from the first, in files before version 10",
                        d -> Optional.empty());
                var inShow = t.or(
                        "memoriesInShow",
                        wholes(1, 1_000),
                        List.of(),
                        "those of its memories that the show uses; missing for all",
                        d -> List.copyOf(d.memories().inShow()));
                var taken = t.or(
                        "memoriesTaken",
                        wholes(1, 1_000),
                        List.of(),
                        "those that hold something already that is to stay",
                        d -> List.copyOf(d.memories().taken()));
                var atDoors = t.or(
                        "atDoors",
                        list(STATE, HandWork.MOST),
                        List.of(),
                        "how people set it before the first press",
                        d -> d.handWork().atDoors());
                var worked = t.or(
                        "alsoByHand",
                        texts(Texts.PART, 0, ChartReading.MAX_ROWS),
                        List.of(),
                        "parts that people may move at it at any time of the show",
                        d -> List.copyOf(d.handWork().worked()));
                return g -> g.context()
                        .add(
                                new Device(
                                        g.get(id),
                                        g.get(name),
                                        g.get(model),
                                        g.get(settings),
                                        g.get(labels),
                                        Spot.in(g.get(area)),
                                        sorted(g.get(filters)),
                                        new SoundUse(
                                                sorted(g.get(feeds)),
                                                sorted(g.get(sends)),
                                                new TreeSet<>(g.get(phantom)),
                                                new TreeSet<>(g.get(inverted)),
                                                new TreeSet<>(g.get(wants)),
                                                g.at(away, () -> g.get(away).map(Length::new))),
                                        sorted(g.get(learned)),
                                        g.at(
                                                inShow,
                                                () -> g.get(first)
                                                        .map(MemoryUse::first)
                                                        .orElseGet(() -> new MemoryUse(
                                                                new TreeSet<>(g.get(inShow)),
                                                                new TreeSet<>(g.get(taken))))),
                                        sorted(g.get(table)),
                                        g.at(
                                                atDoors,
                                                () -> new HandWork(g.get(atDoors), new TreeSet<>(g.get(worked))))),
                                g.get(host),
                                g.fields());
            });

    private static final Layout<RigSoFar, Socket> SOCKET = Layout.of("socket", "A port of a device.", t -> {
        var device = t.needs("device", KNOWN, "the device", Socket::device);
        var port = t.needs("port", Texts.PORT, "its port", Socket::port);
        return g -> {
            Socket socket = new Socket(g.get(device), g.get(port));
            g.at(port, () -> g.context().rig().port(socket));
            return socket;
        };
    });

    private static final Layout<RigSoFar, Measured> MEASURED =
            Layout.of("measured", "How long messages were measured to wait at a link, in microseconds.", t -> {
                var least = t.needs("leastMicros", whole(0, Measured.LONGEST), "the least", Measured::least);
                var usual = t.needs(
                        "usualMicros", whole(0, Measured.LONGEST), "as often as not, not less", Measured::usual);
                var worst = t.needs("worstMicros", whole(0, Measured.LONGEST), "the most, not less", Measured::worst);
                return g -> g.at(worst, () -> new Measured(g.get(least), g.get(usual), g.get(worst)));
            });

    /** A link, which is made once all are read. */
    static final Layout<RigSoFar, Link> LINK = Layout.of(
            "link",
            "What joins two ports: a cable, a wireless, network or inner connection, a power lead. What it is"
                    + " follows from the ports.",
            t -> {
                var from = t.needs("from", one(SOCKET), "sends; of USB the device, not the host", Link::from);
                var to = t.needs("to", one(SOCKET), "the other end", Link::to);
                var length = t.may(
                        "centimetres",
                        whole(10, 20_000),
                        "the length of a cable, where it was measured",
                        l -> l.length().map(Length::centimetres));
                var measured = t.may(
                        "measured",
                        one(MEASURED),
                        "how long messages wait at it, where that was measured",
                        Link::measured);
                return g -> {
                    Optional<Length> centimetres =
                            g.at(length, () -> g.get(length).map(Length::new));
                    return g.context().add(new Link(g.get(from), g.get(to), centimetres, g.get(measured)), g.fields());
                };
            });

    /** A device that stands in for another. */
    static final Layout<RigSoFar, Pair> PAIR =
            Layout.of("pair", "A device that stands in for another of the same model.", t -> {
                var first = t.needs("first", KNOWN, "the one that plays", Pair::first);
                var second = t.needs("second", KNOWN, "the one that stands in for it", Pair::second);
                return g -> g.context().add(new Pair(g.get(first), g.get(second)), g.fields());
            });

    private DeviceLayout() {}

    private static Optional<Response> response(Learned message) {
        return Optional.of(message.response()).filter(response -> !response.equals(Response.PLAIN));
    }

    private static Setting setting(Model model, String key) {
        return model.setting(new SettingId(key))
                .orElseThrow(() -> new IllegalArgumentException("%s has no such setting".formatted(model.name())));
    }

    private static <K extends Comparable<K>, V> SortedMap<K, V> sorted(List<Map.Entry<K, V>> entries) {
        SortedMap<K, V> sorted = new TreeMap<>();
        entries.forEach(entry -> sorted.put(entry.getKey(), entry.getValue()));
        return sorted;
    }
}
