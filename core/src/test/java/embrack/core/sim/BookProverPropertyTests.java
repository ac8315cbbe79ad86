package embrack.core.sim;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.RandomRigs;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.gear.Kind;
import embrack.core.music.RandomTempoMaps;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.When;
import embrack.core.switches.Step;
import embrack.core.world.Lane;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

class BookProverPropertyTests {

    /** A plan on a random rig with songs whose cues do anything that any of its boxes can. */
    private static Plan plan(int seed, int boxes) {
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

    private static boolean hasPlayer(Plan plan) {
        return plan.rig().devices().stream()
                .anyMatch(device -> plan.rig().model(device.id()).kind() == Kind.TRACK_PLAYER);
    }

    /**
     * On any rig: a cue is exact, or a finding explains it; times are in order; nothing waits for less than no time.
     */
    @Property(tries = 80)
    void everyCueIsExactOrExplained(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 4, max = 16) int boxes) {
        Plan plan = plan(seed, boxes);
        Assume.that(hasPlayer(plan));
        Report report = Report.of(plan);
        for (SongProof song : report.book().songs()) {
            assertThat(song.cues()).hasSameSizeAs(song.song().cues());
            for (CueProof cue : song.cues()) {
                boolean told = report.findings(song.song().id()).stream()
                        .map(Finding::cues)
                        .anyMatch(cues -> cues.stream()
                                .anyMatch(at -> at.song().equals(song.song().id())
                                        && at.number() == cue.cue().number()));
                assertThat(cue.verdict() == Verdict.EXACT || told)
                        .as("%s %s", cue.verdict(), cue.cue())
                        .isTrue();
                assertThat(cue.leadMicros()).isBetween(0L, BookProver.MAX_LEAD_MICROS);
                assertThat(cue.verdict() == Verdict.NO_WAY)
                        .isEqualTo(cue.steps().stream()
                                .anyMatch(step -> step.obstacle().isPresent()));
            }
            assertThat(song.queues())
                    .allMatch(queue -> queue.waitMicros() > 0 && queue.lastMicros() >= queue.waitMicros())
                    .extracting(Queue::micros)
                    .isSorted();
        }
    }

    /** The same plan is always proven the same, by a new prover and by one that has proven others before. */
    @Property(tries = 40)
    void provingIsTheSameEveryTime(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 4, max = 12) int boxes) {
        Plan plan = plan(seed, boxes);
        BookProver prover = new BookProver(plan.rig());
        BookProof first = prover.prove(plan);
        Plan other = plan.withBook(new Book(plan.book().songs().reversed(), List.of(), List.of()));
        prover.prove(other);
        assertThat(prover.prove(plan)).isEqualTo(first).isEqualTo(new BookProver(plan.rig()).prove(plan));
    }

    /** What a cue is not about and its player does not send cannot be left behind by its song. */
    @Property(tries = 40)
    void onlyWhatASongTouchesIsLeftBehind(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 4, max = 12) int boxes) {
        Plan plan = plan(seed, boxes);
        Report report = Report.of(plan);
        report.book().run().leftovers().forEach(left -> {
            SongProof song = report.book().song(left.song()).orElseThrow();
            boolean touched = song.cues().stream()
                    .anyMatch(cue -> cue.targets().stream()
                                    .anyMatch(place ->
                                            Lane.of(plan.rig(), place).equals(Lane.of(plan.rig(), left.place())))
                            || cue.wrongPlaces().contains(left.place()));
            assertThat(touched).as(left.toString()).isTrue();
            List<DeviceId> players = plan.players();
            assertThat(players).doesNotContain(left.place().device());
        });
    }
}
