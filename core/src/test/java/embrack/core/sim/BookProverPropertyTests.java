package embrack.core.sim;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.RandomBooks;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Book;
import embrack.core.world.Lane;
import java.util.List;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

class BookProverPropertyTests {

    /**
     * On any rig: a cue is exact, or a finding explains it; times are in order; nothing waits for less than no time.
     */
    @Property(tries = 80)
    void everyCueIsExactOrExplained(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 4, max = 16) int boxes) {
        Plan plan = RandomBooks.of(seed, boxes);
        Assume.that(RandomBooks.hasPlayer(plan));
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
        Plan plan = RandomBooks.of(seed, boxes);
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
        Plan plan = RandomBooks.of(seed, boxes);
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
