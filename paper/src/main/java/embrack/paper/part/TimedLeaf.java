package embrack.paper.part;

import embrack.core.rig.DeviceId;
import embrack.core.sheet.TimedList;
import embrack.core.show.Song;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.ArrayList;
import java.util.List;

/** The messages that players send by themselves, song by song, as they are typed into them. */
final class TimedLeaf {

    static final String ID = "timed";

    private final Contents contents;

    TimedLeaf(Contents contents) {
        this.contents = contents;
    }

    Part part() {
        List<Block> blocks = new ArrayList<>();
        blocks.add(block("Every song", "once for all of them", TimedList.ofEvery(contents.report())));
        for (Song song : contents.songs()) {
            blocks.add(block(
                    "%d  %s".formatted(song.place(), song.title()),
                    contents.plan().player(song).map(this::player).orElse("no player"),
                    TimedList.of(contents.report(), song)));
        }
        return new Part(
                ID,
                "Timed messages",
                "programs are counted from 0",
                Part.Form.HALVES,
                blocks.stream().filter(block -> !block.isEmpty()).toList());
    }

    private String player(DeviceId player) {
        return "in "
                + contents.name(player)
                + contents.rig()
                        .standIn(player)
                        .map(second -> " and " + contents.name(second))
                        .orElse("");
    }

    private static Block block(String heading, String aside, TimedList list) {
        return new Block(
                heading,
                aside,
                new Body.Table(
                        List.of(
                                Column.words("Bar", 17),
                                Column.figures("Clock", 17),
                                Column.figures("Type", 9),
                                Column.figures("Ch", 6),
                                Column.figures("No.", 8),
                                Column.figures("Value", 9),
                                Column.words("For", 34)),
                        list.rows().stream().map(TimedLeaf::row).toList()));
    }

    private static Row row(TimedList.Row row) {
        return Row.of(
                row.when().at().isEmpty()
                        ? row.when().bar() + beat(row)
                        : row.when().at(),
                row.when().clock(),
                row.shown().type(),
                row.shown().channel(),
                row.shown().number(),
                row.shown().value(),
                row.does());
    }

    private static String beat(TimedList.Row row) {
        return row.when().beat().isEmpty() ? "" : " beat " + row.when().beat();
    }
}
