package embrack.core;

import embrack.core.gear.Kind;
import embrack.core.music.RandomTempoMaps;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.show.Anchor;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.When;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.Assume;

/** Prompt books of any cues, on random rigs. */
public final class RandomBooks {

    private RandomBooks() {}

    /** A plan on a random rig with three songs whose cues do anything that any of its boxes can. */
    public static Plan of(int seed, int boxes) {
        var random = new Random(seed);
        Plan plan = RandomRigs.of(seed, boxes);
        List<Step> steps = new ArrayList<>();
        for (Device device : plan.rig().devices()) {
            plan.rig().chart(device.id()).actions().stream()
                    .limit(40)
                    .forEach(action -> steps.add(new Step(device.id(), action, random.nextInt(5) == 0 ? 30 : 0)));
        }
        Assume.that(!steps.isEmpty());
        List<Song> songs = new ArrayList<>();
        for (int i = 1; i <= 3; i++) {
            Form form = new Form(
                    RandomTempoMaps.of(random),
                    List.of(new Section(new TapeLabel("One"), 10), new Section(new TapeLabel("Two"), 20)));
            List<Cue> cues = new ArrayList<>();
            for (int n = 1; n <= 12; n++) {
                Anchor at = random.nextInt(5) == 0
                        ? new Anchor.Automatic(When.values()[random.nextInt(4)])
                        : new Anchor.OnBar(form.tempoMap().position(random.nextInt(30_000)));
                List<Step> does = new ArrayList<>();
                for (int k = 0; k <= random.nextInt(3); k++) {
                    does.add(steps.get(random.nextInt(steps.size())));
                }
                cues.add(new Cue(
                        n,
                        Optional.empty(),
                        at,
                        does,
                        List.of(),
                        Optional.empty(),
                        random.nextBoolean(),
                        random.nextBoolean()));
            }
            songs.add(Song.blank(new SongId("song-" + i), new TapeLabel("Song " + i), i)
                    .withForm(form)
                    .withCues(cues));
        }
        return plan.withBook(new Book(songs, List.of(), List.of())).settled();
    }

    /** Whether anything plays songs. */
    public static boolean hasPlayer(Plan plan) {
        return plan.rig().devices().stream()
                .anyMatch(device -> plan.rig().model(device.id()).kind() == Kind.TRACK_PLAYER);
    }
}
