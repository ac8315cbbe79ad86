package embrack.core.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Sketch;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.sound.Heard;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;

class SoundscapeTests {

    private static final Plan PLAN = tonight(Sketch.of("Hall")
            .box("Voice", "stage-microphone")
            .box("Mixer", "rack-mixer-24")
            .box("House", "house-speakers")
            .box("Tracks", "tablet")
            .link("voice.out > mixer.input-1", "mixer.main-left > house.in-left")
            .song("Ebb", "tempo 120\nVerse: 8 bars")
            .song("Flood", "tempo 120\nVerse: 8 bars")
            .song("Slack", "tempo 120\nVerse: 8 bars")
            .cues("ebb", "1 = mixer mute:input-1", "5 = mixer open:input-1")
            .cues("flood", "5 = mixer mute:main")
            .plan());

    private static Plan tonight(Plan plan) {
        AtomicReference<Show> show = new AtomicReference<>(Show.empty(new ShowId("show"), new TapeLabel("Show")));
        List<Song> songs = plan.book().songs();
        songs.forEach(song -> show.updateAndGet(now -> now.withMore(Entry.of(now.nextNumber(), song))));
        return plan.withBook(plan.book().with(show.get()));
    }

    /** What a song leaves muted is muted as the next begins; what nothing moves is open. */
    @Test
    void eachSongBeginsAsTheOneBeforeLeftIt() {
        SoundPaths paths = new SoundPaths(PLAN.rig());
        Soundscape scape = new Soundscape(PLAN, paths);
        Source voice = paths.sources().getFirst();
        Listener house = paths.listeners().getFirst();
        Map<SongId, Heard> bySong = scape.bySong();
        assertThat(bySong.keySet()).extracting(SongId::text).containsExactly("ebb", "flood", "slack");
        assertThat(bySong.values())
                .extracting(heard -> heard.arrival(voice, house).isHeard())
                .containsExactly(false, true, false);
        for (Song song : PLAN.book().songs()) {
            assertThat(scape.in(song).arrival(voice, house).gain())
                    .as(song.title().text())
                    .isEqualTo(bySong.get(song.id()).arrival(voice, house).gain());
        }
        assertThat(scape.atDoors().isHeard(voice)).isTrue();
        assertThat(scape.silent()).isEmpty();
        assertThat(scape.otherwise())
                .extracting(
                        other -> other.place().part().text() + " " + other.value(),
                        other -> scape.with(other).isHeard(voice))
                .as("each mute that a cue works, the other way than at doors")
                .containsExactly(tuple("input-1 1", false), tuple("main 1", false));
        assertThat(SoundTurn.of(paths, scape))
                .extracting(turn -> turn.shifts().stream()
                        .map(shift -> shift.source().key() + " " + shift.way())
                        .toList())
                .containsExactly(
                        List.of("voice.microphone GONE"),
                        List.of("voice.microphone BACK"),
                        List.of("voice.microphone GONE"));
    }
}
