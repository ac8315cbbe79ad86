package embrack.app.songs;

import embrack.core.check.Report;
import embrack.core.music.Clock;
import embrack.core.plan.Plan;
import embrack.core.show.Song;
import embrack.files.songs.PlayerText;
import java.util.List;
import java.util.Locale;

/**
 * What stands above all pages of a song.
 *
 * @param isText whether its player takes and gives timed messages as text
 * @param before and {@code after} the songs beside it in the book, empty at its ends
 * @param facts tempo, metre, length, who sends
 */
record SongHead(
        String path, int place, String title, String key, String facts, boolean isText, String before, String after) {

    static SongHead of(Report report, Song song, String rig) {
        Plan plan = report.plan();
        List<Song> all = plan.book().songs();
        int at = all.indexOf(song);
        String stretch = Math.abs(song.stretchPercent()) < 0.05
                ? ""
                : String.format(Locale.ROOT, ", stretched %+.1f %%", song.stretchPercent())
                        .replace('-', '\u2212');
        String facts = "%s, %s%s; sent by %s"
                .formatted(
                        song.form().words(),
                        Clock.brief(song.usualLengthMicros()),
                        stretch,
                        plan.player(song)
                                .map(player -> plan.rig().name(player).text())
                                .orElse("nobody"));
        return new SongHead(
                "%s/songs/%s".formatted(rig, song.id()),
                song.place(),
                song.title().text(),
                SongsPage.key(song),
                facts,
                PlayerText.lineOf(plan, song).isPresent(),
                at > 0 ? "%s/songs/%s".formatted(rig, all.get(at - 1).id()) : "",
                at + 1 < all.size()
                        ? "%s/songs/%s".formatted(rig, all.get(at + 1).id())
                        : "");
    }
}
