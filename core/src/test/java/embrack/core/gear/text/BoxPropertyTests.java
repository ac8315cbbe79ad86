package embrack.core.gear.text;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.gear.Ability;
import embrack.core.gear.BankChange;
import embrack.core.gear.Board;
import embrack.core.gear.Condition;
import embrack.core.gear.Connector;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.ControlType;
import embrack.core.gear.Counter;
import embrack.core.gear.CueLine;
import embrack.core.gear.DeskPages;
import embrack.core.gear.Direction;
import embrack.core.gear.Ear;
import embrack.core.gear.FactoryNumbers;
import embrack.core.gear.FactoryRun;
import embrack.core.gear.Gesture;
import embrack.core.gear.Memory;
import embrack.core.gear.Passage;
import embrack.core.gear.Phantom;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Power;
import embrack.core.gear.Preset;
import embrack.core.gear.PressLimit;
import embrack.core.gear.Purpose;
import embrack.core.gear.Quirks;
import embrack.core.gear.Scope;
import embrack.core.gear.SendChannel;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.gear.Shaping;
import embrack.core.gear.Signal;
import embrack.core.gear.Sockets;
import embrack.core.gear.Sound;
import embrack.core.gear.SoundEnd;
import embrack.core.gear.SoundInside;
import embrack.core.gear.SoundRun;
import embrack.core.gear.SoundRun.GateRun;
import embrack.core.gear.Surface;
import embrack.core.gear.SwitchMode;
import embrack.core.level.Nominal;
import embrack.core.level.Nominal.Unit;
import embrack.core.midi.Channel;
import embrack.core.midi.MessageType;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ValueDisplay;
import embrack.core.midi.Wire.RunningStatus;
import embrack.core.name.TapeLabel;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

@SuppressWarnings("unchecked")
class BoxPropertyTests {

    @Property
    void boxesAreWrittenAndReadAgain(@ForAll("boxes") Box box) {
        String text = BoxWriter.write(box);
        BoxReading reading = BoxReading.of(text);
        assertThat(reading.problems()).as(text).isEmpty();
        assertThat(reading.box()).as(text).contains(box);
        assertThat(BoxWriter.write(reading.box().orElseThrow())).isEqualTo(text);
    }

    @Property
    void anythingTypedIsReadWithinItsText(@ForAll("nonsense") String text) {
        BoxReading reading = BoxReading.of(text);
        assertThat(reading.box().isPresent()).isEqualTo(reading.problems().isEmpty());
        assertThat(reading.problems())
                .allMatch(p -> p.line() >= 1
                        && p.line() <= Math.max(1, text.lines().count())
                        && p.column() >= 1
                        && !p.words().isBlank());
    }

    @Provide
    Arbitrary<String> nonsense() {
        return Arbitraries.of(
                        "port",
                        "sound",
                        "makes click at",
                        "XLR",
                        "at +4 dBu",
                        "MIDI IN",
                        ":",
                        "5-pin",
                        "in",
                        "switches",
                        "4",
                        "in rows of",
                        "send",
                        "note",
                        "cc",
                        ",",
                        "8 a press",
                        "banks",
                        "A..B",
                        "1..3",
                        ";",
                        "a bank changes",
                        "the channel",
                        "setting",
                        "1..16",
                        "16..1",
                        "factory",
                        "off",
                        "on",
                        "in each memory",
                        "memories",
                        "keep",
                        "power",
                        "USB",
                        "or",
                        "mA",
                        "habits",
                        "shared",
                        "1 at once",
                        "\n",
                        "\"",
                        "#",
                        " as ",
                        "x",
                        "99999999",
                        "factory run",
                        "gestures",
                        "hold")
                .list()
                .ofMaxSize(24)
                .map(words -> String.join(" ", words));
    }

    @Provide
    Arbitrary<Box> boxes() {
        Arbitrary<Optional<Power>> power = Combinators.combine(
                        someOf(Power.Source.class),
                        Arbitraries.integers().between(0, 20_000),
                        Arbitraries.integers().between(0, 600))
                .as((sources, milliamps, seconds) ->
                        new Power(sources, milliamps, seconds, sources.contains(Power.Source.BATTERY) ? seconds : 0))
                .optional();
        Arbitrary<Optional<DeskPages>> pages = Combinators.combine(
                        Arbitraries.integers().between(1, 192),
                        Arbitraries.integers().between(1, 512),
                        Arbitraries.integers().between(1, 64))
                .as(DeskPages::new)
                .optional();
        return Combinators.combine(ports(), board().optional(), groups(), memory(), quirks(), power, pages)
                .as((ports, board, groups, memory, quirks, supply, buttons) -> new Box(
                        new Sockets(
                                ports,
                                List.of(),
                                new TreeMap<>(),
                                ports.stream().map(Port::id).findFirst(),
                                sound(ports)),
                        new Surface(board, groups, buttons),
                        memory,
                        quirks,
                        supply));
    }

    /** All that comes in goes everywhere, some of it shut, late or turned round; the first port of each side ends. */
    private static SoundInside sound(List<Port> ports) {
        List<SoundEnd> in = ends(ports, false);
        List<SoundEnd> out = ends(ports, true);
        SortedMap<PortId, Sound> sources = new TreeMap<>();
        SortedMap<PortId, Ear> ears = new TreeMap<>();
        out.stream().findFirst().ifPresent(end -> sources.put(end.port(), Sound.GUIDE));
        in.stream().findFirst().ifPresent(end -> ears.put(end.port(), Ear.IN_EARS));
        Passage passage =
                new Passage(-6.5, in.size() > 1, out.size() > 1, 15 * in.size(), Passage.Send.values()[in.size() % 3]);
        List<GateRun> gates = out.size() > 2
                ? List.of()
                : List.of(
                        new GateRun(List.of(new PartId("strip-1")), Aspect.MUTED),
                        new GateRun(List.of(new PartId("strip-1")), Aspect.LEVEL),
                        new GateRun(List.of(new PartId("a")), Aspect.CHOSEN));
        List<SoundRun> runs = in.isEmpty() || out.isEmpty()
                ? List.of()
                : List.of(
                        new SoundRun(in, out, true, passage, gates),
                        new SoundRun(in.subList(0, 1), out, false, Passage.PLAIN, List.of()));
        return new SoundInside(runs, sources, ears);
    }

    private static List<SoundEnd> ends(List<Port> ports, boolean out) {
        return ports.stream()
                .filter(port -> port.carriesSound() && port.direction().isSending() == out)
                .flatMap(port ->
                        IntStream.rangeClosed(1, port.signal().channels()).mapToObj(n -> new SoundEnd(port.id(), n)))
                .toList();
    }

    private static Arbitrary<List<Port>> ports() {
        Arbitrary<Port> port = Combinators.combine(
                        name(),
                        Arbitraries.of(Connector.values()),
                        Arbitraries.of(Direction.values()),
                        Arbitraries.of(Phantom.values()),
                        Arbitraries.integers().between(1, 3))
                .as((name, connector, direction, phantom, channels) -> new Port(
                        new PortId(Pieces.defaultId(name)),
                        name,
                        connector,
                        direction,
                        0,
                        false,
                        signal(connector, phantom, channels)));
        return port.list().ofMaxSize(4).uniqueElements(Port::id);
    }

    private static Signal signal(Connector connector, Phantom phantom, int channels) {
        if (!connector.carriesSound()) {
            return Signal.of(connector);
        }
        int most = connector.isStereo() ? 2 : connector.isLine() ? 1 : channels;
        return new Signal(most, Optional.of(new Nominal(-10 * channels, 4, Unit.values()[channels % 2])), phantom);
    }

    private static Arbitrary<Board> board() {
        Arbitrary<int[]> size = Combinators.combine(
                        Arbitraries.integers().between(1, 32),
                        Arbitraries.integers().between(1, 32),
                        Arbitraries.integers().between(1, 128))
                .as((switches, columns, most) -> new int[] {switches, Math.min(switches, columns), most});
        Arbitrary<List<TapeLabel>> banks = Arbitraries.of("A", "B", "Solo bank", "12", "Ch 3")
                .map(TapeLabel::new)
                .list()
                .ofMinSize(1)
                .ofMaxSize(4);
        Arbitrary<SortedSet<Gesture>> gestures = someOf(Gesture.class).map(set -> {
            SortedSet<Gesture> more = new TreeSet<>(set);
            more.add(Gesture.PRESS);
            return more;
        });
        return Combinators.combine(
                        size,
                        banks,
                        types(),
                        gestures,
                        someOf(SwitchMode.class),
                        runs(32).list().ofMaxSize(2),
                        Combinators.combine(
                                        Arbitraries.of(BankChange.values()),
                                        Arbitraries.of(SendChannel.values()),
                                        Arbitraries.of(RunningStatus.values()),
                                        Arbitraries.of(ProgramCounting.values()),
                                        Arbitraries.of(ValueDisplay.values()),
                                        Arbitraries.integers().between(0, 60_000),
                                        Arbitraries.integers().between(0, 24))
                                .as(List::<Object>of))
                .as((s, names, sends, tells, modes, factory, how) -> new Board(
                        s[0],
                        s[1],
                        counter(s[0], factory, (Integer) how.get(5))
                                .map(counter -> counter.shown((ProgramCounting) how.get(3)))
                                .orElse(names),
                        counter(s[0], factory, (Integer) how.get(5)).isPresent()
                                ? BankChange.ASSIGNMENTS
                                : (BankChange) how.get(0),
                        sends,
                        new PressLimit(s[2], limits(s[2], sends)),
                        tells,
                        modes,
                        new FactoryNumbers(
                                factory.isEmpty() ? List.of() : upTo(s[0], factory.getFirst()),
                                factory.size() < 2
                                        ? List.of()
                                        : List.of(new Preset(
                                                new TapeLabel("Preset 1"), atLeastOne(s[0], factory.getLast()))),
                                counter(s[0], factory, (Integer) how.get(5))),
                        (SendChannel) how.get(1),
                        (RunningStatus) how.get(2),
                        (ProgramCounting) how.get(3),
                        (ValueDisplay) how.get(4),
                        (Integer) how.get(5),
                        (Integer) how.get(6)));
    }

    /** Runs on different switches of so many. */
    private static Arbitrary<List<FactoryRun>> runs(int switches) {
        return Combinators.combine(
                        Arbitraries.of(MessageType.NOTE_ON, MessageType.CONTROL_CHANGE, MessageType.PROGRAM_CHANGE)
                                .list()
                                .ofSize(2),
                        Arbitraries.integers().between(0, 127).list().ofSize(switches),
                        Arbitraries.integers().between(1, switches))
                .as((types, numbers, first) -> first == switches
                        ? List.of(new FactoryRun(types.getFirst(), numbers))
                        : List.of(
                                new FactoryRun(types.getFirst(), numbers.subList(0, first)),
                                new FactoryRun(
                                        types.getLast(),
                                        numbers.subList(first, switches),
                                        IntStream.rangeClosed(first + 1, switches)
                                                .boxed()
                                                .toList())));
    }

    /** On a board of two switches or more that send nothing else: one of many sizes. */
    private static Optional<Counter> counter(int switches, List<List<FactoryRun>> factory, int seed) {
        return switches < 2 || !factory.isEmpty() || seed % 3 == 0
                ? Optional.empty()
                : Optional.of(new Counter(switches, 1, seed % 100, seed % 100 + 1 + seed % 27, seed % 2 == 0));
    }

    /** What of the runs is on the first so many switches. */
    private static List<FactoryRun> upTo(int switches, List<FactoryRun> runs) {
        return runs.stream()
                .filter(run -> run.on().getFirst() <= switches)
                .map(run -> {
                    int kept =
                            (int) run.on().stream().filter(on -> on <= switches).count();
                    return new FactoryRun(
                            run.type(), run.numbers().subList(0, kept), run.on().subList(0, kept));
                })
                .toList();
    }

    private static List<FactoryRun> atLeastOne(int switches, List<FactoryRun> runs) {
        List<FactoryRun> some = upTo(switches, runs);
        return some.isEmpty() ? List.of(new FactoryRun(MessageType.NOTE_ON, List.of(60))) : some;
    }

    private static SortedMap<MessageType, Integer> limits(int most, SortedSet<MessageType> types) {
        SortedMap<MessageType, Integer> limits = new TreeMap<>();
        if (most % 2 == 1) {
            limits.put(types.first(), 1 + most / 2);
            limits.put(types.last(), 1 + most / 2);
        }
        return limits;
    }

    private static Arbitrary<List<ControlGroup>> groups() {
        return Combinators.combine(
                        Arbitraries.of(ControlType.values()),
                        Arbitraries.integers().between(1, 128),
                        Arbitraries.integers().between(1, 128),
                        types(),
                        Arbitraries.integers().between(1, 16).map(Channel::new).optional(),
                        Combinators.combine(
                                        Arbitraries.of(Shaping.values()),
                                        Arbitraries.integers().between(1, 16),
                                        someOf(SwitchMode.class),
                                        runs(128).optional())
                                .as(List::<Object>of))
                .as((type, count, columns, sends, channel, how) -> new ControlGroup(
                        type,
                        count,
                        Math.min(count, columns),
                        sends,
                        channel,
                        (Shaping) how.get(0),
                        (Integer) how.get(1),
                        fixed((Optional<?>) how.get(3), count, sends),
                        (SortedSet<SwitchMode>) how.get(2)))
                .list()
                .ofMaxSize(3);
    }

    private static List<FactoryRun> fixed(Optional<?> runs, int count, SortedSet<MessageType> sends) {
        return runs.map(all -> upTo(count, (List<FactoryRun>) all)).orElse(List.of()).stream()
                .filter(run -> sends.contains(run.type()))
                .toList();
    }

    private static Arbitrary<Memory> memory() {
        Arbitrary<Setting> numbers = Combinators.combine(
                        name(),
                        Arbitraries.integers().between(-9, 9),
                        Arbitraries.integers().between(0, 200),
                        Arbitraries.of(Scope.values()),
                        Arbitraries.of(Purpose.class).optional(0.3))
                .as((name, min, more, scope, purpose) -> new Setting(
                        new SettingId(Pieces.defaultId(name)),
                        name,
                        purpose,
                        min,
                        min + more,
                        min + more / 2,
                        List.of(),
                        scope,
                        more % 3 == 0 ? Optional.of("it is about sound") : Optional.empty()));
        Arbitrary<Setting> words = Combinators.combine(
                        name(),
                        Arbitraries.of("off", "on", "8 slots", "by hand", "Input 2")
                                .map(TapeLabel::new)
                                .list()
                                .ofMinSize(1)
                                .ofMaxSize(4)
                                .uniqueElements(),
                        Arbitraries.of(Scope.values()))
                .as((name, choices, scope) -> new Setting(
                        new SettingId(Pieces.defaultId(name)),
                        name,
                        Optional.empty(),
                        0,
                        choices.size() - 1,
                        choices.size() - 1,
                        choices,
                        scope,
                        Optional.empty()));
        return Combinators.combine(
                        Arbitraries.oneOf(numbers, words)
                                .list()
                                .ofMaxSize(4)
                                .uniqueElements(Setting::id)
                                .uniqueElements(setting ->
                                        setting.purpose().<Object>map(p -> p).orElse(setting)),
                        Arbitraries.integers().between(1, 1000),
                        Arbitraries.of("Hold WRITE.", "Press # twice: then wait")
                                .map(s -> s.replace("#", "STORE"))
                                .optional())
                .as((settings, memories, writing) -> new Memory(
                        settings,
                        settings.stream()
                                .filter(setting -> !setting.choices().isEmpty())
                                .map(setting -> new Condition(Ability.SENDS, setting.id(), setting.max()))
                                .toList(),
                        memories,
                        writing,
                        writing.map(any -> new CueLine("{time}; {bytes}")).filter(line -> memories % 2 == 0)));
    }

    private static Arbitrary<Quirks> quirks() {
        return Combinators.combine(
                        Arbitraries.of(true, false),
                        Arbitraries.of(true, false),
                        Arbitraries.of(true, false),
                        Arbitraries.integers().between(0, 128),
                        Arbitraries.of(true, false))
                .as(Quirks::new);
    }

    private static Arbitrary<SortedSet<MessageType>> types() {
        return someOf(MessageType.class);
    }

    private static <E extends Enum<E>> Arbitrary<SortedSet<E>> someOf(Class<E> type) {
        List<E> all = List.copyOf(EnumSet.allOf(type));
        return Arbitraries.integers()
                .between(1, (1 << all.size()) - 1)
                .map(bits -> new TreeSet<>(IntStream.range(0, all.size())
                        .filter(i -> (bits >> i & 1) == 1)
                        .mapToObj(all::get)
                        .toList()));
    }

    private static Arbitrary<TapeLabel> name() {
        return Arbitraries.of(
                        "MIDI IN",
                        "MIDI receive channel",
                        "USB",
                        "Odd: name",
                        "Rate; fine",
                        "No. #3",
                        "K\u00fcche",
                        "in",
                        "Input 1 mode",
                        "as is")
                .map(TapeLabel::new);
    }
}
