package embrack.app.log;

import embrack.app.frame.Mark;
import embrack.app.frame.Stretch;
import embrack.app.store.LogStore;
import embrack.app.store.RigId;
import embrack.core.check.rule.Severity;
import embrack.core.music.Clock;
import embrack.core.name.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * An entry of the log.
 *
 * @param run the number of the run that it tells of, to play it again; empty for a line check
 * @param presses how those were made that somebody had to make
 * @param tally how many were made how
 * @param hardest the hardest presses, to be trained again
 * @param targets the same, as a drill is told them; empty where all were right
 * @param about what a note can be about: parts and boxes of this entry
 */
record EntryPage(
        LogPage.Row entry,
        String run,
        String who,
        Stretch<LineView> lines,
        List<PressView> presses,
        String tally,
        List<String> hardest,
        String targets,
        List<LogPage.NoteView> notes,
        List<String> about) {

    private static final int MOST = 200;

    /** Something that happened; {@code at} microseconds of the show. */
    record LineView(String clock, long at, String part, String box, String words, Optional<Mark> mark) {}

    /** A press: how much late or early, and what was pressed instead. */
    record PressView(String clock, String part, String label, String sort, Mark mark, String by, String instead) {}

    static EntryPage of(LogStore log, RigId rig, LogStore.Entry entry, int line, String path) {
        List<LogStore.Press> presses = log.presses(entry.id());
        List<LogStore.Line> lines = log.lines(entry.id());
        List<LogStore.Press> hardest = presses.stream()
                .filter(press -> press.rank() > 0)
                .sorted(Comparator.comparingInt(LogStore.Press::rank))
                .toList();
        return new EntryPage(
                LogPage.row(entry),
                entry.run().isPresent() ? String.valueOf(entry.run().getAsLong()) : "",
                entry.who(),
                Stretch.of(
                        lines.stream()
                                .map(one -> new LineView(
                                        entry.run().isPresent() ? Clock.brief(Math.max(0, one.at())) : "",
                                        one.at(),
                                        one.part(),
                                        one.box(),
                                        one.words(),
                                        LogPage.mark(one.sort())))
                                .toList(),
                        line,
                        MOST,
                        "%s/%d?line=".formatted(path, entry.id())),
                presses.stream().map(EntryPage::press).toList(),
                tally(presses),
                hardest.stream().map(LogStore.Press::label).toList(),
                hardest.stream().map(LogStore.Press::target).collect(Collectors.joining(";")),
                log.notes(rig, entry.id()).stream().map(LogPage.NoteView::of).toList(),
                Stream.concat(
                                lines.stream().map(LogStore.Line::part),
                                lines.stream().map(LogStore.Line::box))
                        .filter(name -> !name.isEmpty())
                        .distinct()
                        .toList());
    }

    private static PressView press(LogStore.Press press) {
        return new PressView(
                Clock.brief(Math.max(0, press.at())),
                press.part(),
                press.label(),
                press.sort(),
                press.instead().isEmpty() || !press.grade().equals("right")
                        ? grade(press.grade())
                        : Mark.of(Severity.LOOK, "right, after another"),
                press.grade().equals("missed") ? "" : Clock.off(press.millis() * 1_000L),
                press.instead() + (press.isBeside() ? " (its neighbour)" : ""));
    }

    private static Mark grade(String grade) {
        return switch (grade) {
            case "right" -> new Mark("tick", "exact", "right");
            case "missed" -> Mark.of(Severity.STOPS, "missed");
            default -> Mark.of(Severity.LOOK, grade);
        };
    }

    private static String tally(List<LogStore.Press> presses) {
        List<String> words = new ArrayList<>();
        for (String grade : List.of("right", "early", "late", "missed")) {
            long count = presses.stream()
                    .filter(press -> press.grade().equals(grade))
                    .count();
            if (count > 0) {
                words.add(count + " " + grade);
            }
        }
        long wrong =
                presses.stream().filter(press -> !press.instead().isEmpty()).count();
        if (wrong > 0) {
            words.add(wrong + " with another pressed first");
        }
        return "%s: %s".formatted(Words.count(presses.size(), "press"), String.join(", ", words));
    }
}
