package embrack.core.chart;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.level.Scale;
import embrack.core.midi.Channel;
import embrack.core.midi.MachineControl;
import embrack.core.midi.MessageType;
import embrack.core.midi.NoteNaming;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ProgramTable;
import embrack.core.midi.RealTime;
import embrack.core.midi.ShowControl;
import embrack.core.midi.SystemExclusive;
import embrack.core.midi.SystemMessage;
import embrack.core.name.TapeLabel;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.SequencedSet;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

class ChartPropertyTests {

    @Property
    void rowsAreWrittenAndReadAgain(
            @ForAll("charts") List<ChartRow> rows,
            @ForAll ProgramCounting programs,
            @ForAll NoteNaming notes,
            @ForAll List<Meaning> meant) {
        Optional<ProgramTable> table = rows.isEmpty()
                ? Optional.empty()
                : Optional.of(new ProgramTable(rows.size(), Optional.of("A1").filter(first -> rows.size() % 2 == 0)));
        var conventions = new Conventions(Optional.of(programs), Optional.of(notes), table);
        List<PartId> parts =
                rows.stream().map(row -> row.part().id()).distinct().toList();
        Set<PartId> choosing = rows.stream()
                .filter(row -> row.verb().isExclusive())
                .map(row -> row.part().id())
                .collect(Collectors.toSet());
        Map<PartId, PartId> within = choosing.stream()
                .sorted()
                .findFirst()
                .map(chosen -> parts.stream()
                        .filter(part -> !choosing.contains(part))
                        .collect(Collectors.toMap(part -> part, part -> chosen)))
                .orElse(Map.of());
        var standing = new Standing(
                parts.size() < 2 ? List.of() : List.of(parts),
                List.of(),
                Set.copyOf(parts),
                Set.copyOf(parts),
                within,
                Optional.empty());
        SequencedMap<PartId, Meaning> meanings = new LinkedHashMap<>();
        for (int i = 0; i < Math.min(rows.size(), meant.size()); i++) {
            meanings.put(rows.get(i).part().id(), meant.get(i));
        }
        SequencedMap<PartId, Scale> scales = new LinkedHashMap<>();
        for (int i = 0; i < parts.size(); i++) {
            scales.put(parts.get(i), i % 2 == 0 ? new Scale(false, 0, 200, "") : new Scale(true, 0, 6 + i % 3, "dB"));
        }
        SequencedSet<PartId> editable = new LinkedHashSet<>();
        rows.stream()
                .filter(row -> row.verb().isExclusive() && rows.size() % 3 != 0)
                .forEach(row -> editable.add(row.part().id()));
        var beside = new Beside(List.of(), Map.of(), meanings, scales, editable, standing);
        String text = ChartWriter.write(conventions, rows, List.of(), beside);
        ChartReading reading = ChartReading.of(text);
        assertThat(reading.errors()).as(text).isEmpty();
        assertThat(reading.chart().orElseThrow().rows()).as(text).isEqualTo(rows);
        assertThat(reading.conventions()).isEqualTo(conventions);
        assertThat(reading.beside().standing()).as(text).isEqualTo(standing);
        assertThat(reading.beside().scales()).as(text).isEqualTo(scales);
        for (Meaning meaning : Meaning.values()) {
            assertThat(reading.beside().all(meaning)).as(text).isEqualTo(beside.all(meaning));
        }
    }

    @Property
    void anythingTypedIsReadWithinItsText(@ForAll("nonsense") String text) {
        ChartReading reading = ChartReading.of(text);
        assertThat(reading.chart().isPresent()).isEqualTo(reading.errors().isEmpty());
        List<String> lines = reading.text().lines().toList();
        assertThat(reading.problems())
                .allMatch(p -> p.line() >= 1
                        && p.line() <= Math.max(1, lines.size())
                        && p.column() >= 1
                        && p.column() <= lines.get(p.line() - 1).length() + 1);
    }

    @Provide
    Arbitrary<String> nonsense() {
        Arbitrary<String> words = Arbitraries.of(
                "mute",
                "open",
                "Input",
                "1..4",
                "4..1",
                "cc",
                "note",
                "pc",
                "40..43",
                "C3",
                ":",
                "+",
                "=",
                "127",
                "over",
                "under",
                "from",
                "{",
                "}",
                "\"",
                ",",
                "#",
                "safe:",
                "except",
                "learns",
                "level",
                "at",
                "programs from 1",
                "middle C is C3",
                "\n",
                "on channel",
                "msc go",
                "sysex",
                "F0",
                "F7",
                "..",
                "-",
                "\u00e6",
                "99999999999",
                "nothing",
                ";",
                "alternating");
        return words.list().ofMaxSize(30).map(list -> String.join(" ", list));
    }

    @Provide
    Arbitrary<List<ChartRow>> charts() {
        return run().list()
                .ofMaxSize(6)
                .map(runs -> runs.stream().flatMap(List::stream).toList())
                .filter(rows -> rows.stream().map(ChartRow::part).distinct().count()
                        == rows.stream().map(r -> r.part().id()).distinct().count());
    }

    /** Rows that may step together, or may nearly do. */
    private static Arbitrary<List<ChartRow>> run() {
        Arbitrary<Integer> step = Arbitraries.frequency(net.jqwik.api.Tuple.of(6, 1), net.jqwik.api.Tuple.of(1, 2));
        return Combinators.combine(
                        Arbitraries.of(Verb.values()),
                        name(),
                        Arbitraries.integers().between(1, 12),
                        trigger(),
                        trigger().list().ofMaxSize(2),
                        step)
                .as((verb, name, count, last, before, by) -> {
                    Trigger end = verb.takesAmount()
                            ? new Trigger.Voice(
                                    MessageType.CONTROL_CHANGE, 7, new Values(100, 0, 100), Optional.empty())
                            : last;
                    List<ChartRow> rows = new ArrayList<>();
                    IntStream.range(0, count).forEach(i -> {
                        List<Trigger> triggers = new ArrayList<>(before);
                        triggers.add(
                                end instanceof Trigger.Voice voice
                                        ? voice.withNumber((voice.number() + i * by) % 128)
                                        : end);
                        rows.add(new ChartRow(verb, part(name, i + 1), triggers));
                    });
                    return rows;
                });
    }

    private static Part part(String name, int number) {
        return number % 5 == 0
                ? Part.of(new TapeLabel(name + " x" + number), name)
                : Part.of(new TapeLabel(name + " " + number));
    }

    private static Arbitrary<String> name() {
        return Arbitraries.of(
                "Input",
                "Return",
                "all",
                "Mute group",
                "Strip: left",
                "2nd row",
                "K\u00fcche",
                "A, B",
                "Say \u2013 so",
                "to",
                "Scene 3 to 4",
                "C#");
    }

    private static Arbitrary<Trigger> trigger() {
        Arbitrary<Integer> data = Arbitraries.integers().between(0, 127);
        Arbitrary<Optional<Channel>> channel =
                Arbitraries.of(1, 16).map(Channel::new).optional(0.2);
        Arbitrary<Trigger> voices = Combinators.combine(
                        Arbitraries.of(MessageType.NOTE_ON, MessageType.CONTROL_CHANGE),
                        data,
                        data,
                        data,
                        data,
                        channel)
                .as((type, number, a, b, sends, on) -> {
                    int lowest = type == MessageType.NOTE_ON ? 1 : 0;
                    int low = Math.max(lowest, Math.min(a, b));
                    int high = Math.max(low, Math.max(a, b));
                    return new Trigger.Voice(type, number, new Values(Math.clamp(sends, low, high), low, high), on);
                });
        Arbitrary<Trigger> programs =
                data.map(n -> new Trigger.Voice(MessageType.PROGRAM_CHANGE, n, Trigger.NO_VALUE, Optional.empty()));
        Arbitrary<Trigger> whole = Arbitraries.<SystemMessage>of(
                        RealTime.START,
                        RealTime.STOP,
                        RealTime.CONTINUE,
                        new SystemMessage.SongSelect(9),
                        MachineControl.Plain.FAST_FORWARD.to(127),
                        MachineControl.Plain.STOP.to(3),
                        SystemExclusive.of(0x7D, 1, 2),
                        new ShowControl(
                                        ShowControl.Format.SOUND,
                                        ShowControl.Command.GO,
                                        Optional.of("12"),
                                        Optional.of("3"))
                                .to(127),
                        new ShowControl(
                                        ShowControl.Format.ALL,
                                        ShowControl.Command.ALL_OFF,
                                        Optional.empty(),
                                        Optional.empty())
                                .to(127))
                .map(Trigger.Whole::new);
        return Arbitraries.oneOf(voices, programs, whole);
    }
}
