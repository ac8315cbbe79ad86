package embrack.files.model;

import embrack.core.chart.Beside;
import embrack.core.chart.Chart;
import embrack.core.chart.ChartRow;
import embrack.core.chart.ChartWriter;
import embrack.core.chart.Conventions;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.chart.Trigger;
import embrack.core.chart.Values;
import embrack.core.chart.Verb;
import embrack.core.gear.Implementation;
import embrack.core.gear.Kind;
import embrack.core.gear.Memory;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Port;
import embrack.core.gear.Quirks;
import embrack.core.gear.Setting;
import embrack.core.gear.SharedSocket;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import embrack.core.midi.MessageType;
import embrack.core.name.TapeLabel;
import embrack.files.json.Fields;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * A model of a plan file of version 1, where parts had ids of their own, and runs of chart and reactions were objects.
 *
 * @param parts the part of today by the id that it had
 */
public record EarlierModel(Model model, Map<PartId, PartId> parts) {

    private record Run(Verb verb, PartId first, int count, MessageType type, int number, int from, int to) {}

    public EarlierModel {
        parts = Map.copyOf(parts);
    }

    /** The model that an object of version 1 describes. */
    public static EarlierModel read(Fields f) {
        ModelId id = f.text("id", ModelId::new);
        TapeLabel name = f.text("name", TapeLabel::new);
        Kind kind = f.oneOf("kind", FileWords.byWord(Kind.values()));
        List<Port> ports = f.objects("ports", 64, p -> ModelLayout.PORT.read(p, p));
        List<SharedSocket> shared = f.holds("sharedSockets")
                ? f.objects("sharedSockets", 64, s -> ModelLayout.SHARED.read(s, s))
                : List.of();
        Sockets sockets = f.fit("ports", () -> new Sockets(ports, shared));
        var surface = new Surface(f.optionalObject("board", b -> BoardLayout.BOARD.read(b, b)), List.of());
        List<PartId> ids = new ArrayList<>();
        List<Part> parts = new ArrayList<>();
        f.objects("parts", 512, p -> {
            ids.add(p.text("id", PartId::new));
            TapeLabel label = p.text("name", TapeLabel::new);
            return parts.add(p.fit(
                    "name", () -> Part.of(new TapeLabel(free(label.text().replace('"', '\''), parts)))));
        });
        List<Run> chart = f.objects("chart", 512, r -> run(r, ids, false));
        List<Run> reactions = f.objects("reactions", 512, r -> run(r, ids, true));
        List<Setting> settings = f.objects("settings", 256, s -> ModelLayout.SETTING.read(s, s));
        Optional<String> writing = f.optionalText("writing", ModelLayout::sentence);
        Memory memory = f.fit(
                "settings",
                () -> new Memory(settings, EarlierSettings.conditions(settings), 0, writing, Optional.empty()));
        Implementation implementation =
                f.fit("chart", () -> implementation(rows(chart, ids, parts), rows(reactions, ids, parts)));
        Model model =
                f.fit(() -> new Model(id, name, kind, sockets, surface, memory, implementation, Optional.empty()));
        Map<PartId, PartId> renamed = new HashMap<>();
        IntStream.range(0, ids.size())
                .forEach(i -> renamed.put(ids.get(i), parts.get(i).id()));
        return new EarlierModel(model, renamed);
    }

    /** The name, with a number behind it if a part of that name is there already. */
    private static String free(String name, List<Part> parts) {
        Set<PartId> taken = new HashSet<>(parts.stream().map(Part::id).toList());
        return IntStream.iterate(1, i -> i + 1)
                .mapToObj(i -> i == 1
                        ? name
                        : name.substring(0, Math.min(name.length(), 34)).strip() + " b" + i)
                .filter(each -> !taken.contains(Part.of(new TapeLabel(each)).id()))
                .findFirst()
                .orElseThrow();
    }

    private static Run run(Fields f, List<PartId> ids, boolean isReaction) {
        Verb verb = f.text("verb", Verb::parse);
        PartId first = f.text("first", PartId::new);
        int count = f.integer("count");
        MessageType type = f.oneOf("type", FileWords.MESSAGE_TYPES);
        int number = f.integer("number");
        int from = f.integer(isReaction ? "from" : "value");
        int to = isReaction ? f.integer("to") : from;
        return f.fit(() -> {
            int index = ids.indexOf(first);
            if (index < 0 || count < 1 || index + count > ids.size()) {
                throw new IllegalArgumentException("a run of %d parts from \"%s\" leaves the %d parts of the box"
                        .formatted(count, first, ids.size()));
            }
            if (number < 0 || number + count - 1 > 127) {
                throw new IllegalArgumentException(
                        "a run of %d numbers from %d leaves 0 to 127".formatted(count, number));
            }
            trigger(type, number, new Values(from, from, to));
            return new Run(verb, first, count, type, number, from, to);
        });
    }

    private static List<ChartRow> rows(List<Run> runs, List<PartId> ids, List<Part> parts) {
        return runs.stream()
                .flatMap(run -> IntStream.range(0, run.count)
                        .mapToObj(i -> new ChartRow(
                                run.verb,
                                parts.get(ids.indexOf(run.first) + i),
                                List.of(trigger(
                                        run.type,
                                        run.number + i,
                                        new Values(run.to == 127 ? run.to : run.from, run.from, run.to))))))
                .toList();
    }

    private static Trigger trigger(MessageType type, int number, Values values) {
        boolean release = type == MessageType.NOTE_ON && values.low() == 0 && values.high() > 0;
        return new Trigger.Voice(
                type,
                number,
                release ? new Values(Math.max(1, values.sends()), 1, values.high()) : values,
                Optional.empty());
    }

    /** Where reactions do no more than widen the values of the chart, they become its values. */
    private static Implementation implementation(List<ChartRow> chart, List<ChartRow> reactions) {
        List<ChartRow> widened = chart.stream()
                .flatMap(row -> reactions.stream()
                        .filter(real -> widens(row, real))
                        .limit(1)
                        .map(real -> new ChartRow(
                                row.verb(),
                                row.part(),
                                List.of(trigger(
                                        row.last().type(),
                                        ((Trigger.Voice) row.last()).number(),
                                        ((Trigger.Voice) real.last())
                                                .values()
                                                .sending(((Trigger.Voice) row.last())
                                                        .values()
                                                        .sends()))))))
                .toList();
        boolean same = widened.size() == chart.size() && reactions.size() == chart.size();
        return new Implementation(written(same ? widened : chart), written(same ? List.of() : reactions), Quirks.NONE);
    }

    private static boolean widens(ChartRow row, ChartRow real) {
        return row.verb() == real.verb()
                && row.part().equals(real.part())
                && row.last() instanceof Trigger.Voice said
                && real.last() instanceof Trigger.Voice obeyed
                && said.type() == obeyed.type()
                && said.number() == obeyed.number()
                && obeyed.values().holds(said.values().sends());
    }

    private static Chart written(List<ChartRow> rows) {
        return rows.isEmpty()
                ? Chart.EMPTY
                : Chart.of(ChartWriter.write(Conventions.UNSAID, rows, List.of(), Beside.NOTHING));
    }
}
