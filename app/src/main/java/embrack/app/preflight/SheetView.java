package embrack.app.preflight;

import embrack.core.gear.ShownMessage;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import java.util.List;

/** A sheet as it is printed. */
record SheetView(String title, String hardware, List<Block> blocks, List<String> cautions) {

    /** A section: either sentences to do, or a table of messages to program. */
    record Block(String heading, List<String> todo, List<Row> messages) {
    }

    /** A message to program. */
    record Row(int number, ShownMessage message, String does) {
    }

    static SheetView of(Sheet sheet) {
        return new SheetView(sheet.title(), sheet.hardware(), sheet.sections().stream().map(SheetView::block).toList(), sheet.cautions());
    }

    private static Block block(Section section) {
        return switch (section) {
            case Section.Todo todo -> new Block(todo.heading(), todo.lines(), List.of());
            case Section.Messages messages -> new Block(messages.heading(), List.of(),
                    messages.lines().stream().map(line -> new Row(line.number(), line.message(), line.does())).toList());
        };
    }
}
