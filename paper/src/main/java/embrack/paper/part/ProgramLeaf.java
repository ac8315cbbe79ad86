package embrack.paper.part;

import embrack.core.gear.ShownMessage;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Change;
import embrack.paper.page.Column;
import embrack.paper.page.Line;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What is typed into boxes, in the order of the work: only what differs from a new box, and from what is ticked. Boxes
 * with little share a page; memories that get the same are one row of boxes to tick.
 */
final class ProgramLeaf {

    private static final Pattern MEMORY = Pattern.compile("^Memory (\\d+): (.*)$");

    private static final Pattern OF_SWITCH = Pattern.compile("^[^/]+/\\d+/[^/]+/(name|mode|fixed)$");

    /** Fewer alike are lines of their own. */
    private static final int ROW_OF_MEMORIES = 3;

    private final Contents contents;

    ProgramLeaf(Contents contents) {
        this.contents = contents;
    }

    Part program() {
        return part("program", "What to program", Sheet.Job.PROGRAM, Sheet.Job.LEARN);
    }

    Part tried() {
        return part("try", "Try every switch", Sheet.Job.TRY);
    }

    private Part part(String id, String title, Sheet.Job... jobs) {
        List<Block> blocks = contents.progress().left().stream()
                .filter(sheet ->
                        List.of(jobs).contains(sheet.job()) && !sheet.id().startsWith(FailsLeaf.PAIR))
                .flatMap(sheet -> blocks(sheet).stream())
                .toList();
        return new Part(id, title, contents.progress().words(), Part.Form.HALVES, blocks);
    }

    /** A sheet as blocks; all that is programmed into switches is one table, what is set alike at several one line. */
    List<Block> blocks(Sheet sheet) {
        List<Block> blocks = new ArrayList<>();
        List<Line> lines = new ArrayList<>();
        List<Row> rows = new ArrayList<>();
        Map<String, Alike> alike = new LinkedHashMap<>();
        Optional<Section.Todo> lastSwitch = Optional.empty();
        for (Section section : sheet.sections()) {
            switch (section) {
                case Section.Todo todo
                when isOfSwitch(todo) -> {
                    lastSwitch = Optional.of(todo);
                    todo.lines().stream()
                            .filter(task -> !isName(task))
                            .forEach(task -> alike.computeIfAbsent(
                                            task.words(), words -> new Alike(new ArrayList<>(), new ArrayList<>()))
                                    .add(todo.heading(), line(task)));
                }
                case Section.Todo todo -> {
                    List<Section.Task> memories = memories(todo);
                    if (sheet.sections().size() > 1) {
                        lines.add(Line.of(todo.heading() + ":"));
                    }
                    todo.lines().stream()
                            .filter(task -> !memories.contains(task))
                            .forEach(task -> lines.add(line(task)));
                    if (!memories.isEmpty()) {
                        blocks.add(new Block(headingOf(blocks, sheet), asideOf(blocks, sheet), new Body.Lines(lines)));
                        lines.clear();
                        blocks.add(ticks(memories));
                    }
                }
                case Section.Messages messages -> {
                    for (Section.Program line : messages.lines()) {
                        rows.add(row(messages, line, line.number() == 1 ? lastSwitch : Optional.empty()));
                    }
                    lastSwitch = Optional.empty();
                }
            }
        }
        alike.forEach((words, switches) -> lines.add(switches.line(words)));
        if (!lines.isEmpty()) {
            blocks.add(new Block(headingOf(blocks, sheet), asideOf(blocks, sheet), new Body.Lines(lines)));
        }
        if (!rows.isEmpty()) {
            blocks.add(new Block(
                    headingOf(blocks, sheet),
                    asideOf(blocks, sheet),
                    new Body.Table(
                            List.of(
                                    Column.words("Switch", 34),
                                    Column.figures("Message", 29),
                                    Column.words("Does", 37)),
                            rows)));
        }
        if (!sheet.cautions().isEmpty()) {
            blocks.add(Block.caution(sheet.cautions()));
        }
        return blocks;
    }

    /** What several switches are set to alike. */
    private record Alike(List<String> switches, List<Line> lines) {

        void add(String name, Line line) {
            switches.add(name);
            lines.add(line);
        }

        /** One line; it is ticked for all of them. */
        Line line(String words) {
            Line first = lines.getFirst();
            return new Line(
                    lines.stream().map(Line::key).filter(key -> !key.isEmpty()).collect(Collectors.joining(" ")),
                    "%s %s".formatted(String.join("; ", switches), words),
                    lines.stream().allMatch(line -> line.tick() == Line.Tick.DONE) ? Line.Tick.DONE : first.tick(),
                    "",
                    Change.NONE);
        }
    }

    private static boolean isOfSwitch(Section.Todo todo) {
        return todo.lines().stream()
                .allMatch(task -> OF_SWITCH.matcher(task.key()).matches());
    }

    private static boolean isName(Section.Task task) {
        return task.key().endsWith("/name");
    }

    private static String asideOf(List<Block> before, Sheet sheet) {
        return before.isEmpty() ? sheet.hardware() : "";
    }

    private static String headingOf(List<Block> before, Sheet sheet) {
        return before.isEmpty() ? sheet.title() : "";
    }

    private static List<Section.Task> memories(Section.Todo todo) {
        List<Section.Task> memories = todo.lines().stream()
                .filter(task -> MEMORY.matcher(task.words()).matches())
                .toList();
        long ways = memories.stream().map(ProgramLeaf::wayOf).distinct().count();
        return ways == 1 && memories.size() >= ROW_OF_MEMORIES ? memories : List.of();
    }

    private static String wayOf(Section.Task task) {
        Matcher matcher = MEMORY.matcher(task.words());
        return matcher.matches() ? matcher.group(2) : "";
    }

    private Block ticks(List<Section.Task> memories) {
        return new Block(
                "",
                "",
                new Body.Ticks(
                        "Each memory: " + wayOf(memories.getFirst()),
                        memories.stream()
                                .map(task -> {
                                    Matcher matcher = MEMORY.matcher(task.words());
                                    Line line = line(task);
                                    return new Line(
                                            line.key(),
                                            matcher.matches() ? matcher.group(1) : "",
                                            line.tick(),
                                            line.was(),
                                            line.change());
                                })
                                .toList()));
    }

    Line line(Section.Line line) {
        return new Line(line.isWork() ? line.key() : "", line.words(), tick(line), was(line), Change.NONE);
    }

    private Line.Tick tick(Section.Line line) {
        if (!line.isWork()) {
            return Line.Tick.NONE;
        }
        return contents.progress().state(line) == Progress.State.DONE ? Line.Tick.DONE : Line.Tick.OPEN;
    }

    private String was(Section.Line line) {
        return contents.progress().state(line) == Progress.State.CHANGED
                ? contents.progress().tick(line).map(Progress.Tick::words).orElse("")
                : "";
    }

    private Row row(Section.Messages messages, Section.Program line, Optional<Section.Todo> set) {
        ShownMessage shown = line.message();
        String was = was(line);
        Optional<Section.Task> name = set.flatMap(
                todo -> todo.lines().stream().filter(ProgramLeaf::isName).findFirst());
        return Row.of(
                        line.number() != 1
                                ? ""
                                : set.map(Section.Todo::heading).orElse(messages.heading())
                                        + name.map(task -> ". " + task.words()).orElse(""),
                        shown.line().replaceAll(" +", " "),
                        line.does()
                                + (shown.reads().isEmpty() ? "" : " (" + shown.reads() + ")")
                                + (was.isEmpty() ? "" : " (was: " + was + ")"))
                .ticked(name.map(task -> task.key() + " ").orElse("") + line.key(), tick(line));
    }
}
