package embrack.app.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.app.AppTest;
import embrack.app.EmbrackApplication;
import embrack.app.ThrowAwayCluster;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.RunElsewhere;
import embrack.app.store.RunStore;
import embrack.core.run.Act;
import embrack.core.run.Run;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.SpringApplication;

/** A run goes on at one of two servers: where somebody asks for it, and at the other one when that one has ended. */
@AppTest
class MovedRunTests {

    @Autowired
    private RigStore rigs;

    @Autowired
    private LiveRuns runs;

    @Autowired
    private RunActs acts;

    @Test
    void aRunGoesOnAtOneServerAloneWithAllThatCameUponIt() throws Exception {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
        LiveRun here = runs.begin(rigs.load(id), RunStore.Wish.of(4, 3, true, "Mira"), Pace.PAUSED);
        runs.go(here, Pace.PAUSED);
        acts.done(here, "Mira", "tap quay-board.1.4");
        Act note = new Act.Note("the loop table came late");
        try (var server = SpringApplication.run(
                EmbrackApplication.class,
                "--spring.datasource.url=" + ThrowAwayCluster.shared().url(),
                "--server.port=0")) {
            LiveRuns others = server.getBean(LiveRuns.class);
            LiveRun there = others.of(id).orElseThrow();
            assertThat(there.id()).isEqualTo(here.id());
            isAsBefore(there.run(), here.run());
            assertThatExceptionOfType(RunElsewhere.class).isThrownBy(() -> runs.act(here, "Mira", note));
            others.act(there, "Jory", note);
            Run now = there.run();

            // That server is held up and says nothing any more; another one takes the run over, and it hears of that.
            overdue(here.id());
            LiveRun back = runs.of(id).orElseThrow();
            isAsBefore(back.run(), now);
            assertThatExceptionOfType(RunElsewhere.class).isThrownBy(() -> others.act(there, "Jory", note));
            isAsBefore(others.of(id).orElseThrow().run(), now);
        }
        // A server that is stopped lets go of it first.
        assertThat(runs.of(id).orElseThrow().id()).isEqualTo(here.id());
    }

    /** To the same state of every box, told in the same words. */
    private static void isAsBefore(Run run, Run before) {
        assertThat(run).hasSameHashCodeAs(before);
        assertThat(run.now()).isEqualTo(before.now());
        assertThat(run.tape()).isEqualTo(before.tape());
    }

    private static void overdue(long run) throws Exception {
        try (Connection database =
                        DriverManager.getConnection(ThrowAwayCluster.shared().url(), "embrack", "");
                PreparedStatement late = database.prepareStatement(
                        "update run set server = 'another', held_until = now() - interval '1 second' where id = ?")) {
            late.setLong(1, run);
            late.executeUpdate();
        }
    }
}
