package embrack.app.log;

import embrack.app.frame.Mark;
import embrack.app.store.LogStore;
import embrack.app.store.StoredRig;
import embrack.core.check.rule.Severity;
import embrack.core.music.Clock;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The entries of the log, the newest first.
 *
 * @param query what of the log is shown, as the end of an address: "?sort=show"; empty for all
 * @param parts what can be asked for: songs and items of tonight, and boxes
 * @param todos what is to be done still
 * @param byBox what failed most within a year, by box
 * @param byPart and by song or item
 */
record LogPage(
        List<Row> rows,
        Asked asked,
        String query,
        List<String> parts,
        List<String> boxes,
        List<NoteView> todos,
        List<String> byBox,
        List<String> byPart) {

    /** What somebody looks for; empty for all. */
    record Asked(String sort, String words, String about) {

        public boolean isAll() {
            return sort.isEmpty() && words.isBlank() && about.isEmpty();
        }
    }

    /** An entry in a line. */
    record Row(long id, String when, String sort, String title, String who, String facts, List<Mark> marks) {}

    /** Something that was noted. */
    record NoteView(long id, long entry, String words, String about, String by, boolean isOpen, String settled) {

        static NoteView of(LogStore.Note note) {
            String about = Stream.of(
                            note.at().isPresent() ? Clock.brief(note.at().getAsLong()) : "", note.part(), note.box())
                    .filter(word -> !word.isEmpty())
                    .reduce((one, other) -> one + ", " + other)
                    .orElse("");
            return new NoteView(
                    note.id(),
                    note.entry(),
                    note.words(),
                    about,
                    note.told() + (note.who().isEmpty() ? "" : ", " + note.who()),
                    note.isOpen(),
                    note.settled()
                            .map(when -> (note.reason().isEmpty() ? "done, " : "let go, ")
                                    + when
                                    + (note.settledBy().isEmpty() ? "" : ", " + note.settledBy())
                                    + (note.reason().isEmpty() ? "" : ": " + note.reason()))
                            .orElse(""));
        }
    }

    static LogPage of(LogStore log, StoredRig rig, Asked asked, String query) {
        Plan plan = rig.plan();
        List<String> parts = Stream.concat(
                        plan.book().songs().stream().map(song -> song.title().text()),
                        plan.book().tonight().stream()
                                .flatMap(show -> show.order().stream())
                                .filter(entry -> entry.song().isEmpty())
                                .map(entry -> entry.name().text()))
                .distinct()
                .toList();
        return new LogPage(
                log.find(rig.id(), asked.sort(), asked.words(), asked.about()).stream()
                        .map(LogPage::row)
                        .toList(),
                asked,
                query,
                parts,
                plan.rig().devices().stream()
                        .map(Device::name)
                        .map(Object::toString)
                        .toList(),
                log.open(rig.id()).stream().map(NoteView::of).toList(),
                log.failed(rig.id(), true).stream().map(LogPage::failed).toList(),
                log.failed(rig.id(), false).stream().map(LogPage::failed).toList());
    }

    private static String failed(LogStore.Failed failed) {
        return "%s, %s%s, last %s"
                .formatted(
                        failed.name(),
                        Words.count(failed.times(), "time"),
                        failed.micros() > 0 ? ", " + Clock.brief(failed.micros()) + " in all" : "",
                        failed.last());
    }

    static String sort(String key) {
        return switch (key) {
            case "drill" -> "Drill";
            case "show" -> "Show";
            case "check" -> "Line check";
            default -> "Run-through";
        };
    }

    static Row row(LogStore.Entry entry) {
        List<String> facts = new ArrayList<>();
        facts.add("revision " + entry.revision());
        if (entry.presses() > 0) {
            facts.add("%d of %s right".formatted(entry.rights(), Words.count(entry.presses(), "press")));
        }
        List<Mark> marks = new ArrayList<>();
        if (entry.wrongs() > 0) {
            marks.add(Mark.of(Severity.LOOK, entry.wrongs() + " wrong"));
        }
        if (entry.todos() > 0) {
            marks.add(Mark.of(Severity.NOTE, entry.todos() + " to do"));
        }
        return new Row(
                entry.id(),
                entry.when(),
                sort(entry.sort()),
                entry.title(),
                entry.who(),
                String.join(", ", facts),
                marks);
    }

    /** The mark of a line; empty for one that needs none. */
    static Optional<Mark> mark(String sort) {
        return switch (sort) {
            case "wrong" -> Optional.of(Mark.of(Severity.LOOK, "wrong"));
            case "silent" -> Optional.of(Mark.of(Severity.STOPS, "silent"));
            case "fault" -> Optional.of(Mark.of(Severity.STOPS, "fault"));
            case "missed" -> Optional.of(Mark.of(Severity.LOOK, "missed"));
            case "mark" -> Optional.of(Mark.of(Severity.NOTE, "!"));
            case "right" -> Optional.of(new Mark("tick", "exact", "right"));
            case "back" -> Optional.of(new Mark("tick", "exact", "back"));
            default -> Optional.empty();
        };
    }
}
