package embrack.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.Caller;
import embrack.app.ServerProcess;
import embrack.app.ThrowAwayCluster;
import embrack.core.music.Clock;
import embrack.core.show.Anchor;
import embrack.core.show.SongId;
import embrack.files.plan.PlanFile;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/**
 * The short form of the ordeal: people edit at two servers while those and the database are ended without warning. What
 * was acknowledged is there, once. {@code ./embrack ordeal} is the long one.
 */
class OrdealTests {

    private static final int PEOPLE = 3;
    private static final int EDITS = 36;
    private static final String SONG = "/rigs/1/songs/small-harbour-song";

    private final Set<String> acknowledged = ConcurrentHashMap.newKeySet();
    private final AtomicInteger next = new AtomicInteger();
    private final Instant end = Instant.now().plus(Duration.ofMinutes(5));
    private volatile boolean isOver;

    @Test
    void nothingIsLostTwiceOrHalfWhateverEnds() throws Exception {
        ThrowAwayCluster cluster = ThrowAwayCluster.shared();
        String database = cluster.url("ordeal");
        try (var first = ServerProcess.start(database)) {
            first.untilItAnswers();
            try (var second = ServerProcess.start(database);
                    ExecutorService hands = Executors.newFixedThreadPool(PEOPLE)) {
                second.untilItAnswers();
                List<Future<?>> working = new ArrayList<>();
                for (int i = 0; i < PEOPLE; i++) {
                    List<Integer> ports =
                            i % 2 == 0 ? List.of(first.port(), second.port()) : List.of(second.port(), first.port());
                    working.add(hands.submit(() -> work(ports)));
                }
                until(EDITS / 4);
                second.kill();
                until(EDITS / 2);
                cluster.stop();
                cluster.start();
                second.startAgain();
                until(EDITS * 3 / 4);
                first.kill();
                until(EDITS);
                isOver = true;
                for (Future<?> each : working) {
                    each.get();
                }
                judge(new Caller(second.port()).get("/rigs/1/plan.json"));
            } finally {
                isOver = true;
            }
        }
    }

    private void until(int edits) throws InterruptedException {
        while (acknowledged.size() < edits) {
            assertThat(Instant.now()).isBefore(end);
            Thread.sleep(20);
        }
    }

    /** Each edit is a cue at a moment of its own, sent until it is answered, at whichever server answers. */
    private void work(List<Integer> ports) {
        var caller = new Caller(ports.getFirst());
        int tries = 0;
        while (!isOver) {
            int n = next.incrementAndGet();
            String at = "0:%02d.%03d".formatted(n % 60, 101 + n);
            while (!isOver && !acknowledged.contains(at)) {
                if (!isSent(caller, at)) {
                    caller.goTo(ports.get(++tries % ports.size())).anew();
                }
            }
        }
    }

    private boolean isSent(Caller caller, String at) {
        try {
            HttpResponse<String> answer = caller.postOnce(
                    "ordeal-" + at, SONG + "/cues", "at", at, "device", "lantern-desk", "action", "recall:scene-3");
            assertThat(answer.statusCode())
                    .as(at)
                    .satisfiesAnyOf(
                            status -> assertThat(status).isEqualTo(302),
                            status -> assertThat(status).isGreaterThan(499));
            return answer.statusCode() == 302 && acknowledged.add(at);
        } catch (UncheckedIOException e) {
            return false;
        }
    }

    private void judge(HttpResponse<String> answer) {
        List<String> there = PlanFile.read(answer.body()).book().song(new SongId("small-harbour-song")).cues().stream()
                .filter(cue -> cue.at() instanceof Anchor.OnClock)
                .filter(cue -> cue.steps().size() == 1)
                .map(cue -> Clock.exact(((Anchor.OnClock) cue.at()).micros()))
                .toList();
        assertThat(acknowledged).hasSizeGreaterThanOrEqualTo(EDITS);
        assertThat(there.stream().filter(acknowledged::contains).toList())
                .containsExactlyInAnyOrderElementsOf(acknowledged);
    }
}
