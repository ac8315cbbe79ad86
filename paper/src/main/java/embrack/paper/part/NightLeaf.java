package embrack.paper.part;

import embrack.core.sheet.AtDoors;
import embrack.core.sheet.Joins;
import embrack.core.sheet.Sheet;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** What is looked at on the night: the order of switching on, how boxes stand at doors and after songs; the joins. */
final class NightLeaf {

    private static final String AS_BEFORE = "as before";

    private final Contents contents;
    private final ProgramLeaf lines;

    NightLeaf(Contents contents) {
        this.contents = contents;
        this.lines = new ProgramLeaf(contents);
    }

    Part doors() {
        List<Block> blocks = new ArrayList<>();
        contents.progress().sheets().stream()
                .filter(sheet -> sheet.job() == Sheet.Job.SWITCH_ON)
                .forEach(sheet -> blocks.addAll(lines.blocks(sheet)));
        AtDoors.of(contents.plan())
                .sections()
                .forEach(section -> blocks.add(Block.of(
                        section.heading(),
                        section.lines().stream().map(lines::line).toList())));
        return new Part("doors", "At doors, and after each song", "to tick on the way round", Part.Form.THIRDS, blocks);
    }

    Part joins() {
        List<Row> rows = new ArrayList<>();
        List<String> before = List.of();
        for (Joins.Join join :
                contents.show().map(show -> Joins.of(contents.plan(), show)).orElse(List.of())) {
            List<String> cells = cells(join);
            rows.add(Row.of(sameAs(before, cells).toArray()));
            before = cells;
        }
        return new Part(
                "joins",
                "Joins",
                "what goes on between one part and the next",
                Part.Form.WHOLE,
                List.of(Block.of(
                        "",
                        new Body.Table(
                                List.of(
                                        Column.words("Join", 17),
                                        Column.words("Goes over", 10),
                                        Column.words("Sound", 23),
                                        Column.words("Look", 11),
                                        Column.words("Picture", 10),
                                        Column.words("Open microphones", 12),
                                        Column.words("Who", 17)),
                                rows))));
    }

    private static List<String> cells(Joins.Join join) {
        return List.of(
                "%s > %s".formatted(join.from().name(), join.into().name()),
                join.way(),
                about(join, Joins.About.SOUND),
                about(join, Joins.About.LOOK),
                about(join, Joins.About.PICTURE),
                about(join, Joins.About.MICROPHONES),
                about(join, Joins.About.WHO) + join.blank().map(" "::concat).orElse(""));
    }

    /** What goes on as in the join before, said short. */
    private static List<String> sameAs(List<String> before, List<String> now) {
        return IntStream.range(0, now.size())
                .mapToObj(i -> i > 1
                                && i < before.size()
                                && now.get(i).length() > AS_BEFORE.length()
                                && now.get(i).equals(before.get(i))
                        ? AS_BEFORE
                        : now.get(i))
                .toList();
    }

    private static String about(Joins.Join join, Joins.About what) {
        return join.lines().getOrDefault(what, "").strip();
    }
}
