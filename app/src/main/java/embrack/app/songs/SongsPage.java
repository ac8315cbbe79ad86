package embrack.app.songs;

import embrack.app.frame.Mark;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import java.util.List;
import java.util.Optional;

/**
 * The list of songs.
 *
 * @param always what every song sends beside its own cues
 */
record SongsPage(List<Row> rows, List<Always> always) {

    /** A song in the list. */
    record Row(
            String id,
            int place,
            String title,
            String key,
            String tempo,
            String length,
            int cues,
            Optional<Mark> mark) {}

    /** A cue of every song. */
    record Always(int number, String when, String words) {}

    static SongsPage of(Report report) {
        Plan plan = report.plan();
        return new SongsPage(
                plan.book().songs().stream().map(song -> row(report, song)).toList(),
                plan.book().always().stream().map(cue -> always(plan, cue)).toList());
    }

    private static Row row(Report report, Song song) {
        Optional<Finding> worst = report.findings(song.id()).stream().sorted().findFirst();
        return new Row(
                song.id().text(),
                song.place(),
                song.title().text(),
                key(song),
                song.form().words(),
                Clock.brief(song.usualLengthMicros()),
                song.cues().size(),
                worst.map(finding -> Mark.of(finding.severity()))
                        .or(() -> song.cues().isEmpty()
                                ? Optional.empty()
                                : Optional.of(new Mark("tick", "exact", "proven"))));
    }

    /** The key in words: "D, was E: -2". */
    static String key(Song song) {
        return song.played()
                .map(key -> song.original()
                        .filter(original -> !original.hasRootOf(key))
                        .map(original ->
                                "%s, was %s: %s".formatted(key, original, Key.words(original.semitonesTo(key))))
                        .orElse(key.toString()))
                .orElse("");
    }

    private static Always always(Plan plan, Cue cue) {
        return new Always(
                cue.number(),
                ((Anchor.Automatic) cue.at()).when().words(),
                String.join(", ", cue.steps().stream().map(plan::words).toList()));
    }
}
