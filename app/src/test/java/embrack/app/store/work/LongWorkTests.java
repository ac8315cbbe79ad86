package embrack.app.store.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.app.AppTest;
import embrack.app.EmbrackApplication;
import embrack.app.ThrowAwayCluster;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.edit.Refused;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.SpringApplication;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Long work is spread over the servers, each part is done once, whoever ends, and people end it. */
@AppTest
class LongWorkTests {

    /** Has the database join by loops alone, which asks what stands inside again for each row outside. */
    private static final String LOOPS = "?options=-c%20enable_hashjoin=off%20-c%20enable_mergejoin=off"
            + "%20-c%20enable_hashagg=off%20-c%20enable_sort=off%20-c%20enable_material=off";

    @Autowired
    private RigStore rigs;

    @Autowired
    private LongWork work;

    @Autowired
    private JdbcClient database;

    @Test
    void serversDoThePartsTogetherAndEachOnce() throws Exception {
        RigId id = rig();
        var both = new CountDownLatch(2);
        Set<Integer> done = ConcurrentHashMap.newKeySet();
        Job job;
        try (var other = SpringApplication.run(
                EmbrackApplication.class,
                "--spring.datasource.url=" + ThrowAwayCluster.shared().url(),
                "--server.port=0")) {
            // A part waits until another one is in hand as well: a server has one at a time, so that is elsewhere.
            assertThat(other.isRunning()).isTrue();
            job = begin(id, "together", 12, part -> {
                both.countDown();
                await(both);
                assertThat(done.add(part)).isTrue();
                return part * part;
            });
            until(() -> work.done(job).size() == 12);
        }
        assertThat(work.done(job).values())
                .containsExactlyElementsOf(IntStream.range(0, 12)
                        .mapToObj(n -> String.valueOf(n * n))
                        .toList());
        assertThat(Bench.BEGUN.get("together")).hasValue(12);
        assertThat(servers(job)).isGreaterThan(1);
        until(() -> left(job) == 0);
        assertThat(work.begin(id, Bench.SORT, 1, "together", 12)).isEqualTo(job);
    }

    /** A part that lies in the queue of a busy server would be taken for dead there, and be done twice. */
    @Test
    void aServerTakesOnePartAtATimeHoweverTheDatabasePlans() {
        RigId id = rig();
        var go = new CountDownLatch(1);
        try (var other = SpringApplication.run(
                EmbrackApplication.class,
                "--spring.datasource.url=" + ThrowAwayCluster.shared().url() + LOOPS,
                "--server.port=0")) {
            assertThat(other.isRunning()).isTrue();
            Job job = begin(id, "held", 12, part -> {
                await(go);
                return part;
            });
            until(() -> begun("held") == 2);
            assertThat(count("select count(*) from job_task where picked and task_instance like ?", job.id() + "/%"))
                    .isEqualTo(2);
            go.countDown();
            until(() -> left(job) == 0);
            assertThat(work.done(job)).hasSize(12);
            assertThat(begun("held")).isEqualTo(12);
        } finally {
            go.countDown();
        }
    }

    @Test
    void aPartOfAServerThatEndedIsDoneByAnother() {
        RigId id = rig();
        var go = new CountDownLatch(1);
        Job job = begin(id, "left behind", 3, part -> {
            await(go);
            return part;
        });
        until(() -> Bench.BEGUN.containsKey("left behind"));
        // The last part is in the hands of a server that says nothing any more.
        assertThat(database.sql("""
                        update job_task set picked = true, picked_by = 'gone', version = version + 1,
                                            last_heartbeat = now() - interval '1 minute'
                        where task_instance = ?""").param(job.id() + "/2").update()).isEqualTo(1);
        go.countDown();
        until(() -> work.done(job).size() == 3);
    }

    @Test
    void peopleEndItAndWhatIsDoneStays() {
        RigId id = rig();
        var go = new CountDownLatch(1);
        Job job = begin(id, "ended", 500, part -> {
            await(go);
            return part;
        });
        until(() -> Bench.BEGUN.containsKey("ended"));
        work.end(id, Bench.SORT);
        go.countDown();
        until(() -> left(job) == 0);
        assertThat(work.done(job)).hasSizeLessThan(10);
        assertThat(work.newest(id, Bench.SORT)).get().satisfies(ended -> {
            assertThat(ended.isEnded()).isTrue();
            assertThat(ended.hasFailed()).isFalse();
        });
        // Whoever wants it again gets it from its beginning.
        Job again = begin(id, "ended", 2, part -> part);
        assertThat(again.id()).isNotEqualTo(job.id());
        until(() -> work.done(again).size() == 2);
        assertThat(work.done(job)).isEmpty();
    }

    @Test
    void whatFailsAgainAndAgainEndsItsJobAndNoOther() {
        RigId good = rig();
        RigId bad = rig();
        Job failing = begin(bad, "failing", 2, part -> {
            throw new IllegalStateException("no");
        });
        Job fine = begin(good, "fine", 5, part -> part);
        until(() -> work.done(fine).size() == 5);
        until(() -> work.newest(bad, Bench.SORT).orElseThrow().hasFailed());
        assertThat(work.done(failing)).isEmpty();
        assertThat(Bench.BEGUN.get("failing").get()).isBetween(3, 6);
    }

    @Test
    void aCrewHasSoMuchAtATimeAndADeletedRigNone() {
        var go = new CountDownLatch(1);
        Bench.DOES.put("many", part -> {
            await(go);
            return part;
        });
        RigId own = rig();
        for (int i = 0; i < 6; i++) {
            work.begin(rig(), Bench.SORT, 1, "many", 1);
        }
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> work.begin(own, Bench.SORT, 1, "many", 1))
                .withMessageContaining("Long work goes on for 6 rigs of this crew already");
        go.countDown();
        until(() -> tries(own));
        rigs.delete(own);
        assertThat(work.newest(own, Bench.SORT)).get().matches(Job::isEnded);
    }

    private boolean tries(RigId rig) {
        try {
            Bench.DOES.put("last", part -> part);
            work.begin(rig, Bench.SORT, 1, "last", 1);
            return true;
        } catch (Refused full) {
            return false;
        }
    }

    private RigId rig() {
        return rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
    }

    private Job begin(RigId rig, String wish, int parts, IntUnaryOperator does) {
        Bench.DOES.put(wish, does);
        return work.begin(rig, Bench.SORT, 1, wish, parts);
    }

    private static int begun(String wish) {
        return Bench.BEGUN.getOrDefault(wish, new AtomicInteger()).get();
    }

    private long left(Job job) {
        return count("select count(*) from job_task where task_instance like ?", job.id() + "/%");
    }

    private long servers(Job job) {
        return count("select count(distinct server) from job_part where job = ?", job.id());
    }

    private long count(String sql, Object value) {
        return database.sql(sql).param(value).query(Long.class).single();
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(1, TimeUnit.MINUTES)).isTrue();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void until(BooleanSupplier is) {
        Instant end = Instant.now().plus(Duration.ofMinutes(2));
        while (!is.getAsBoolean()) {
            assertThat(Instant.now()).isBefore(end);
            try {
                Thread.sleep(50);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
    }
}
