package embrack.app.preflight;

import embrack.core.gear.ShownMessage;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A sheet as it is printed. */
record SheetView(String id, String title, String hardware, List<Block> blocks, List<String> cautions) {

    /** A section: either sentences to do, or a table of messages to program. */
    record Block(String heading, List<Row> todo, List<Row> messages) {}

    /**
     * A line.
     *
     * @param state "open", "changed" or "done"
     * @param was what it said when it was ticked, if it says something else now
     * @param ticked who ticked it, and when; empty when nobody did
     */
    record Row(
            String key,
            String words,
            int number,
            Optional<ShownMessage> message,
            String does,
            String state,
            String was,
            String ticked) {}

    static SheetView of(Progress progress, Sheet sheet) {
        return new SheetView(
                sheet.id(),
                sheet.title(),
                sheet.hardware(),
                sheet.sections().stream()
                        .map(section -> block(progress, section))
                        .toList(),
                sheet.cautions());
    }

    private static Block block(Progress progress, Section section) {
        return switch (section) {
            case Section.Todo todo ->
                new Block(
                        todo.heading(),
                        todo.lines().stream()
                                .map(line -> row(progress, line, 0, Optional.empty(), ""))
                                .toList(),
                        List.of());
            case Section.Messages messages ->
                new Block(
                        messages.heading(),
                        List.of(),
                        messages.lines().stream()
                                .map(line ->
                                        row(progress, line, line.number(), Optional.of(line.message()), line.does()))
                                .toList());
        };
    }

    private static Row row(
            Progress progress, Section.Line line, int number, Optional<ShownMessage> message, String does) {
        Progress.State state = progress.state(line);
        Optional<Progress.Tick> tick = progress.tick(line);
        return new Row(
                line.key(),
                line.words(),
                number,
                message,
                does,
                state.name().toLowerCase(Locale.ROOT),
                state == Progress.State.CHANGED ? tick.map(Progress.Tick::words).orElse("") : "",
                state == Progress.State.DONE
                        ? tick.map(t -> "%s, %s".formatted(t.who(), t.when())).orElse("")
                        : "");
    }
}
