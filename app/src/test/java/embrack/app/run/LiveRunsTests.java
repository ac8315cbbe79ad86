package embrack.app.run;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.RunStore;
import embrack.app.store.StoredRig;
import embrack.core.run.Run;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@AppTest
class LiveRunsTests {

    @Autowired
    private RigStore rigs;

    @Autowired
    private Reports reports;

    @Autowired
    private RunStore store;

    @Autowired
    private RunLog log;

    @Autowired
    private LiveRuns runs;

    @Autowired
    private RunActs acts;

    /** What is kept of a run is enough to go on with it where it was, to the same state of every box. */
    @Test
    void aRunIsTheSameAfterTheServerWasStartedAnew() {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
        StoredRig stored = rigs.load(id);
        LiveRun run = runs.begin(stored, RunStore.Wish.of(4, 3, true, "Mira"), Pace.PAUSED);
        runs.go(run, Pace.PAUSED);
        for (String words : List.of(
                "step",
                "tap quay-board.1.4",
                "link-out thru-box.thru-4 keys.in 0",
                "box-out loop-table 4000000",
                "misstep voice-board.1.3",
                "step",
                "step",
                "note the loop table came late",
                "tap side-board.1.2",
                "step",
                "step-back",
                "feet people",
                "from 6 0",
                "step")) {
            acts.done(run, "Mira", words);
        }
        Run before = run.run();
        Run after = new LiveRuns(rigs, reports, store, log).of(id).orElseThrow().run();
        assertThat(after).isEqualTo(before).hasSameHashCodeAs(before);
        assertThat(after.tape()).isEqualTo(before.tape());
        assertThat(store.acts(run.id(), stored.plan().rig())).hasSizeGreaterThan(8);

        for (String words : List.of(
                "press nowhere.1.1",
                "press quay-board.99.1",
                "turn quay-board 0",
                "from -1 0",
                "from 99 0",
                "set vocal-mixer main muted 7",
                "move quay-board treadle 1 1 128",
                "overrun 99999999999999999",
                "speed never",
                "note " + "x".repeat(2_000))) {
            assertThat(acts.done(run, "Mira", words)).as(words).isFalse();
        }
        assertThat(run.run()).isEqualTo(before);

        runs.end(id);
        assertThat(runs.of(id)).isEmpty();
        assertThat(new LiveRuns(rigs, reports, store, log).of(id)).isEmpty();
    }

    /** Around each end of a part it goes by the clock, and over what lies between at once. */
    @Test
    void onlyTheJoinsArePlayed() {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
        LiveRun run = runs.begin(rigs.load(id), RunStore.Wish.of(2, 0, true, ""), Pace.PAUSED);
        runs.go(run, new Pace(Pace.Speed.JOINS, false));
        long nanos = System.nanoTime();
        run.go(new Pace(Pace.Speed.JOINS, true), nanos);
        for (int tenths = 0; tenths < 9 * 10; tenths++) {
            run.tick(nanos += 100_000_000);
        }
        assertThat(run.run().songMicros().orElseThrow()).isLessThan(10_000_000);
        for (int tenths = 0; tenths < 3 * 10; tenths++) {
            run.tick(nanos += 100_000_000);
        }
        assertThat(run.run().part()).isEqualTo(2);
        assertThat(run.run().sectionLeftMicros().orElseThrow()).isBetween(5_000_000L, 10_000_000L);
        for (int tenths = 0; tenths < 30 * 10; tenths++) {
            run.tick(nanos += 100_000_000);
        }
        assertThat(run.run().part()).isEqualTo(3);
        runs.end(id);
    }
}
