package embrack.paper.part;

import embrack.core.name.Words;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Rig;
import embrack.core.sheet.CableList;
import embrack.core.sheet.PackList;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Line;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import embrack.paper.type.LabelSize;
import embrack.paper.type.Setting;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** What is carried and plugged: cables, cases, power; labels to cut out. */
final class CablesLeaf {

    private final Contents contents;
    private final Rig rig;

    CablesLeaf(Contents contents) {
        this.contents = contents;
        this.rig = contents.rig();
    }

    Part cables() {
        List<Block> blocks = new ArrayList<>();
        blocks.add(Block.of("Cables", cableTable()));
        blocks.add(Block.caution(
                blocks.getFirst().isEmpty()
                        ? List.of()
                        : List.of("Tape or ramp every cable that crosses a way where people walk.")));
        blocks.add(Block.of("Power", power()));
        return new Part(
                "cables",
                "Cables and power",
                "",
                Part.Form.HALVES,
                blocks.stream().filter(block -> !block.isEmpty()).toList());
    }

    /** What goes into which case; a supply is packed with its box. */
    Part packing() {
        List<Block> blocks = new ArrayList<>();
        PackList.of(contents.plan())
                .cases()
                .forEach(box -> blocks.add(Block.of(
                        "Case: " + box.name(),
                        box.items().stream()
                                .map(item -> Line.todo(
                                        "pack/%s/%s".formatted(box.name(), item.what()),
                                        "%d × %s%s"
                                                .formatted(
                                                        item.count(),
                                                        item.what(),
                                                        item.note().isEmpty() ? "" : ", " + item.note())))
                                .toList())));
        return new Part("packing", "Packing", "", Part.Form.THIRDS, blocks);
    }

    private Body.Table cableTable() {
        return new Body.Table(
                List.of(
                        Column.figures("No.", 7),
                        Column.words("Cable", 20),
                        Column.words("From", 36),
                        Column.words("To", 37)),
                CableList.of(rig).rows().stream()
                        .map(row -> Row.of(
                                row.number(),
                                row.kind() + (row.length().isEmpty() ? "" : ", " + row.length()),
                                row.from(),
                                row.to() + (row.adapter().isEmpty() ? "" : ", with a " + row.adapter())))
                        .toList());
    }

    private Body.Table power() {
        PowerPlan power = new PowerPlan(rig);
        Stream<Row> ports = power.loads().stream()
                .map(load -> Row.of(
                        Words.list(load.devices().stream().map(rig::name).toList()),
                        rig.words(load.port()),
                        "%d of %d mA%s".formatted(load.draw(), load.gives(), load.over() > 0 ? ", TOO MUCH" : "")));
        Map<String, List<String>> alike = new LinkedHashMap<>();
        power.feedings().stream()
                .filter(feeding -> feeding.from().isEmpty())
                .forEach(feeding -> alike.computeIfAbsent(feeding.how(rig), how -> new ArrayList<>())
                        .add(rig.name(feeding.device())
                                + (feeding.milliamps() == 0 ? "" : " " + feeding.milliamps() + " mA")));
        Stream<Row> boxes =
                alike.entrySet().stream().map(how -> Row.of(String.join(", ", how.getValue()), how.getKey(), ""));
        return new Body.Table(
                List.of(Column.words("Box", 56), Column.words("Runs from", 24), Column.words("Draws", 20)),
                Stream.concat(ports, boxes).toList());
    }

    /** What of a label goes onto one: all, else where the cable goes, else its number alone. */
    private static String fitting(LabelSize size, String all, String less, int number) {
        return Stream.of(all, less).filter(size::holds).findFirst().orElse(String.valueOf(number));
    }

    /** A label for each end of each cable, as many on a page as fit. */
    Part labels(LabelSize size) {
        List<Line> labels = CableList.of(rig).rows().stream()
                .flatMap(row -> Stream.of(
                        fitting(size, row.fromLabel(), "%d > %s".formatted(row.number(), row.to()), row.number()),
                        fitting(size, row.toLabel(), "%d < %s".formatted(row.number(), row.from()), row.number())))
                .map(Line::of)
                .toList();
        Setting setting = Setting.of(Part.Form.CUT, contents.paper());
        int across = Math.max(1, (int) (setting.room() / Setting.MM / size.width()));
        int down = Math.max(1, (int) (setting.depth() / Setting.MM / size.height()));
        List<Block> blocks = new ArrayList<>();
        for (int from = 0; from < labels.size(); from += across * down) {
            blocks.add(new Block(
                    "",
                    "",
                    new Body.Labels(
                            labels.subList(from, Math.min(labels.size(), from + across * down)),
                            size.width(),
                            size.height())));
        }
        return new Part("labels", "Labels to cut", size.words() + " mm", Part.Form.CUT, blocks);
    }
}
