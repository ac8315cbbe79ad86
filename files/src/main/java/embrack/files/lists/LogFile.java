package embrack.files.lists;

import embrack.core.music.Clock;
import embrack.files.csv.CsvWriter;
import java.time.Instant;
import java.util.List;
import java.util.OptionalLong;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A log to take along: as CSV, a row for each thing that happened, was pressed or noted, or as JSON with {@code format}
 * {@code embrack-log} and {@code version} 1. Times are ISO 8601 in UTC; moments are microseconds of the show.
 *
 * @param rig its name
 * @param entries the newest first
 */
public record LogFile(String rig, List<Entry> entries) {

    private static final double MICROS = 1e6;

    /** A run, drill, show or line check. */
    public record Entry(
            long number,
            String sort,
            Instant begun,
            Instant ended,
            int revision,
            String who,
            String title,
            List<Line> lines,
            List<Press> presses,
            List<Note> notes) {
        public Entry {
            lines = List.copyOf(lines);
            presses = List.copyOf(presses);
            notes = List.copyOf(notes);
        }
    }

    /** Something that happened; {@code micros} how long it was wrong. */
    public record Line(long at, String sort, String part, String box, String words, long micros) {

        /** When, as it is read: "0:24:10". */
        public String clock() {
            return Clock.brief(Math.max(0, at));
        }
    }

    /** A press that somebody had to make; {@code millis} how much late. */
    public record Press(long at, String part, String label, String sort, String grade, int millis, String instead) {}

    /** What somebody wrote. */
    public record Note(
            OptionalLong at,
            String part,
            String box,
            String words,
            String who,
            boolean isTodo,
            boolean isSettled,
            String reason) {

        /** How it stands: "to do", "done", "let go: the lead is new", or nothing. */
        public String state() {
            return !isTodo ? "" : !isSettled ? "to do" : reason.isEmpty() ? "done" : "let go: " + reason;
        }
    }

    public LogFile {
        entries = List.copyOf(entries);
    }

    /** As a sheet. */
    public String csv() {
        var sheet = new CsvWriter(List.of(
                "entry", "kind", "begun", "revision", "who", "moment", "what", "part", "box", "words", "seconds"));
        for (Entry entry : entries) {
            row(sheet, entry, "", "entry", "", "", entry.title(), "");
            entry.lines()
                    .forEach(line -> row(
                            sheet,
                            entry,
                            line.clock(),
                            line.sort(),
                            line.part(),
                            line.box(),
                            line.words(),
                            line.micros() == 0 ? "" : line.micros() / MICROS));
            entry.presses()
                    .forEach(press -> row(
                            sheet,
                            entry,
                            Clock.brief(Math.max(0, press.at())),
                            "press " + press.grade(),
                            press.part(),
                            "",
                            press.label() + (press.instead().isEmpty() ? "" : "; before it " + press.instead()),
                            press.grade().equals("missed") ? "" : press.millis() / 1e3));
            entry.notes()
                    .forEach(note -> row(
                            sheet,
                            entry,
                            note.at().isPresent()
                                    ? Clock.brief(Math.max(0, note.at().getAsLong()))
                                    : "",
                            note.state().isEmpty() ? "note" : note.state(),
                            note.part(),
                            note.box(),
                            note.words(),
                            ""));
        }
        return sheet.text();
    }

    private static void row(
            CsvWriter sheet,
            Entry entry,
            String moment,
            String what,
            String part,
            String box,
            String words,
            Object seconds) {
        sheet.line(List.of(
                entry.number(),
                entry.sort(),
                entry.begun().toString(),
                entry.revision(),
                entry.who(),
                moment,
                what,
                part,
                box,
                words,
                seconds));
    }

    /** As JSON. */
    public String json() {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("format", "embrack-log").put("version", 1).put("rig", rig);
        ArrayNode all = root.putArray("entries");
        for (Entry entry : entries) {
            ObjectNode node = all.addObject();
            node.put("number", entry.number())
                    .put("sort", entry.sort())
                    .put("begun", entry.begun().toString())
                    .put("ended", entry.ended().toString())
                    .put("revision", entry.revision())
                    .put("who", entry.who())
                    .put("title", entry.title());
            ArrayNode lines = node.putArray("lines");
            entry.lines()
                    .forEach(line -> lines.addObject()
                            .put("at", line.at())
                            .put("sort", line.sort())
                            .put("part", line.part())
                            .put("box", line.box())
                            .put("words", line.words())
                            .put("micros", line.micros()));
            ArrayNode presses = node.putArray("presses");
            entry.presses()
                    .forEach(press -> presses.addObject()
                            .put("at", press.at())
                            .put("part", press.part())
                            .put("switch", press.label())
                            .put("sort", press.sort())
                            .put("grade", press.grade())
                            .put("lateMillis", press.millis())
                            .put("instead", press.instead()));
            ArrayNode notes = node.putArray("notes");
            entry.notes().forEach(note -> {
                ObjectNode written = notes.addObject()
                        .put("part", note.part())
                        .put("box", note.box())
                        .put("words", note.words())
                        .put("who", note.who())
                        .put("state", note.state());
                note.at().ifPresent(at -> written.put("at", at));
            });
        }
        return new JsonMapper().writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }
}
