package embrack.paper.part;

import embrack.core.music.Clock;
import embrack.core.plan.Plan;
import embrack.core.sheet.CueSheet;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Song;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Song by song all that happens, down the page: sections with their words and guide, and every cue between them. */
final class PromptLeaf {

    private final Contents contents;
    private final Plan plan;

    PromptLeaf(Contents contents) {
        this.contents = contents;
        this.plan = contents.plan();
    }

    Part part() {
        return new Part(
                "songs",
                "Songs",
                "",
                Part.Form.WHOLE,
                contents.songs().stream().map(this::block).toList());
    }

    /** A row with when it comes, so that sections and cues can be put in order. */
    private record Timed(long micros, Row row) {}

    private Block block(Song song) {
        List<Timed> rows = new ArrayList<>();
        Form form = song.form();
        for (int i = 0; i < form.sections().size(); i++) {
            rows.add(section(form, i));
        }
        CueSheet sheet = CueSheet.of(contents.report(), song, Optional.empty());
        long last = Long.MIN_VALUE;
        for (CueSheet.Row row : sheet.rows()) {
            long at = row.when().clock().isEmpty()
                    ? last == Long.MIN_VALUE || row.when().at().startsWith("on load") ? Long.MIN_VALUE : Long.MAX_VALUE
                    : Clock.parse(row.when().clock());
            last = at;
            rows.add(new Timed(
                    at,
                    Row.of(Whens.place(row.when()), row.when().clock(), "%s: %s".formatted(row.device(), row.what()))));
        }
        rows.sort(Comparator.comparingLong(Timed::micros));
        return new Block(
                song.title().text(),
                Stream.of(sheet.facts(), song.notes())
                        .filter(text -> !text.isEmpty())
                        .collect(Collectors.joining(". ")),
                new Body.Table(
                        List.of(Column.words("Bar", 16), Column.figures("Clock", 16), Column.words("What happens", 68)),
                        rows.stream().map(Timed::row).toList()));
    }

    private static Timed section(Form form, int index) {
        Section section = form.sections().get(index);
        String words = Stream.of(
                        section.name().text(),
                        section.guide().isEmpty() ? "" : "\u201c" + section.guide() + "\u201d",
                        section.vamp() ? "vamp, usually " + section.passes() + " times" : "",
                        String.join(" / ", section.lines()))
                .filter(text -> !text.isEmpty())
                .collect(Collectors.joining(". "));
        return new Timed(
                form.startMicros(index),
                Row.of(form.firstBar(index), Clock.brief(form.startMicros(index)), words)
                        .strong(true));
    }
}
