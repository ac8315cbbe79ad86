package embrack.app.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import embrack.app.AppTest;
import embrack.app.EmbrackApplication;
import embrack.app.ThrowAwayCluster;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.line.LineCheck;
import embrack.core.line.Task;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.SpringApplication;

/** A line check at two servers on one database: what is found at one is known at the other, in both directions. */
@AppTest
@SuppressWarnings("NullAway.Init")
class ElsewhereTests {

    private static final Duration PATIENCE = Duration.ofMinutes(1);

    @Autowired
    private RigStore rigs;

    @Autowired
    private LineChecks checks;

    @Test
    void whatIsFoundAtOneServerIsKnownAtTheOther() {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
        StoredRig rig = rigs.load(id);
        assertThat(found(checks, rig)).isEmpty();
        try (var server = SpringApplication.run(
                EmbrackApplication.class,
                "--spring.datasource.url=" + ThrowAwayCluster.shared().url(),
                "--server.port=0")) {
            LineChecks others = server.getBean(LineChecks.class);
            assertThat(found(others, rig)).isEmpty();

            say(checks, rig, LineCheck::nothing);
            Set<Task> first = found(checks, rig);
            assertThat(first).hasSize(1);
            await().atMost(PATIENCE).until(() -> found(others, rig).equals(first));

            say(others, rig, LineCheck::nothing);
            Set<Task> both = found(others, rig);
            assertThat(both).hasSize(2).containsAll(first);
            await().atMost(PATIENCE).until(() -> found(checks, rig).equals(both));

            say(checks, rig, check -> check.anew(List.copyOf(first)));
            await().atMost(PATIENCE).until(() -> !found(others, rig).containsAll(first));
            assertThat(found(others, rig)).hasSize(1);
        }
    }

    private static void say(LineChecks at, StoredRig rig, UnaryOperator<LineCheck> what) {
        at.said(rig, "Mira", "browser", what);
    }

    private static Set<Task> found(LineChecks at, StoredRig rig) {
        return at.of(rig, "browser").check().came().keySet();
    }
}
