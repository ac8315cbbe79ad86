package embrack.paper.part;

import embrack.core.effort.Candidate;
import embrack.core.effort.FirstAid;
import embrack.core.loss.Loss;
import embrack.core.loss.SinglePoints;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.Sheet;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Line;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What to do when it fails, worst first; what takes over for each board; going back; whom to call. */
final class FailsLeaf {

    /** How the ids of sheets of pairs begin. */
    static final String PAIR = "pair-";

    private static final int MOST_CANDIDATES = 3;

    private final Contents contents;
    private final Plan plan;
    private final Map<DeviceId, List<Candidate>> candidates = new HashMap<>();

    FailsLeaf(Contents contents) {
        this.contents = contents;
        this.plan = contents.plan();
    }

    Part part() {
        List<Block> blocks = new ArrayList<>();
        blocks.add(Block.of(
                "To call",
                contents.folder()
                        .numbers()
                        .lines()
                        .filter(line -> !line.isBlank())
                        .map(Line::of)
                        .toList()));
        blocks.add(Block.of("One thing fails, worst first", losses()));
        blocks.add(Block.of("What takes over for a board", swaps()));
        return new Part(
                "fails",
                "If it fails",
                "",
                Part.Form.WHOLE,
                blocks.stream().filter(block -> !block.isEmpty()).toList());
    }

    /** Pairs beside each other, and how to go back after one has failed. */
    Part back() {
        ProgramLeaf lines = new ProgramLeaf(contents);
        return new Part(
                "back",
                "Going back after one of a pair has failed",
                "",
                Part.Form.HALVES,
                contents.progress().sheets().stream()
                        .filter(sheet -> sheet.id().startsWith(PAIR))
                        .flatMap(sheet -> pair(lines, sheet).stream())
                        .toList());
    }

    /** What could take over for a board; asked for each of its failures. */
    private List<Candidate> takeOver(DeviceId board) {
        return candidates.computeIfAbsent(board, dead -> Candidate.of(plan, dead, List.of()));
    }

    /** Failures that take the same away, and ask for the same, are one row. */
    private Body.Table losses() {
        Map<List<Object>, List<String>> alike = new LinkedHashMap<>();
        for (Loss loss : SinglePoints.of(plan)) {
            FirstAid aid = FirstAid.of(plan, loss, this::takeOver);
            alike.computeIfAbsent(List.of(loss.switches(), aid), key -> new ArrayList<>())
                    .add(loss.failure().words(plan.rig())
                            + (loss.dark().isEmpty()
                                    ? ""
                                    : ", dark with it: "
                                            + Words.list(loss.dark().stream()
                                                    .map(contents::name)
                                                    .toList())));
        }
        long planned = plan.switches().assignments().stream()
                .filter(assignment -> !assignment.steps().isEmpty())
                .count();
        List<Row> rows = new ArrayList<>();
        alike.forEach((key, fails) -> {
            FirstAid aid = (FirstAid) key.getLast();
            List<?> lost = (List<?>) key.getFirst();
            rows.add(Row.of(
                    String.join("; ", fails),
                    "%d of %d".formatted(lost.size(), planned),
                    aid.seconds(),
                    aid.minute(),
                    aid.five()));
        });
        return new Body.Table(
                List.of(
                        Column.words("Fails", 25),
                        Column.words("Switches lost", 8),
                        Column.words("First ten seconds", 27),
                        Column.words("First minute", 20),
                        Column.words("First five", 20)),
                rows);
    }

    private Body.Table swaps() {
        return new Body.Table(
                List.of(Column.words("Board", 20), Column.words("Can be taken over by", 80)),
                plan.boards().stream()
                        .filter(board -> !plan.switches().of(board).isEmpty())
                        .map(board -> Row.of(
                                contents.name(board),
                                takeOver(board).stream()
                                        .limit(MOST_CANDIDATES)
                                        .map(candidate -> "%s: %d of %d"
                                                .formatted(candidate.words(plan), candidate.does(), candidate.of()))
                                        .collect(Collectors.joining("; "))))
                        .filter(row -> !row.cells().getLast().isEmpty())
                        .toList());
    }

    private static List<Block> pair(ProgramLeaf lines, Sheet sheet) {
        List<Block> blocks = new ArrayList<>();
        sheet.sections()
                .forEach(section -> blocks.add(new Block(
                        section.heading(),
                        sheet.title(),
                        new Body.Lines(section.lines().stream().map(lines::line).toList()))));
        blocks.add(Block.caution(sheet.cautions()));
        return blocks;
    }
}
