package embrack.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.transaction.CannotCreateTransactionException;

class TroubleTests {

    /** States of SQL as PostgreSQL 15 gives them (its documentation, appendix A). */
    @ParameterizedTest
    @CsvSource({
        "08001, LOST",
        "08006, LOST",
        "57P01, LOST",
        "57P03, LOST",
        "53100, FULL",
        "22021, OURS",
        "23505, OURS",
        "42601, OURS",
        "57014, OURS",
        ", OURS"
    })
    void onlyALostConnectionIsCalledOne(String state, Trouble trouble) {
        assertThat(Trouble.of(new DataIntegrityViolationException("x", new SQLException("x", state))))
                .isEqualTo(trouble);
    }

    @Test
    void aBusyPoolIsNoLostDatabase() {
        var waited = new SQLTransientConnectionException("Connection is not available, request timed out after 2000ms");
        assertThat(Trouble.of(new CannotGetJdbcConnectionException("x", waited)))
                .isEqualTo(Trouble.BUSY);
        var refused = new SQLTransientConnectionException(
                "Connection is not available", "x", new SQLException("refused", "08001"));
        assertThat(Trouble.of(new CannotCreateTransactionException("x", refused)))
                .isEqualTo(Trouble.LOST);
        assertThat(Trouble.of(new IllegalStateException("ours"))).isEqualTo(Trouble.OURS);
    }

    /**
     * Who asks for what is being made waits for it; who asks for anything else does not; a failure is not remembered.
     */
    @Test
    void aMemoMakesEachThingOnceAndHoldsNobodyElse() throws Exception {
        Memo<String, String> memo = Memo.ofCount(2);
        var made = new AtomicInteger();
        var begun = new CountDownLatch(1);
        var mayEnd = new CountDownLatch(1);
        try (ExecutorService people = Executors.newFixedThreadPool(3)) {
            List<Future<String>> waiting = new ArrayList<>();
            for (int i = 0; i < 2; i++) {
                waiting.add(people.submit(() -> memo.get("slow", () -> {
                    made.incrementAndGet();
                    begun.countDown();
                    await(mayEnd);
                    return "made";
                })));
            }
            begun.await();
            assertThat(memo.get("quick", () -> "at once")).isEqualTo("at once");
            assertThat(memo.find("slow")).isEmpty();
            mayEnd.countDown();
            for (Future<String> each : waiting) {
                assertThat(each.get()).isEqualTo("made");
            }
        }
        assertThat(made).hasValue(1);
        assertThatThrownBy(() -> memo.get("bad", () -> {
                    throw new IllegalArgumentException("no");
                }))
                .hasMessage("no");
        assertThat(memo.get("bad", () -> "good now")).isEqualTo("good now");
        assertThat(memo.find("quick")).as("the oldest goes").isEmpty();
        Memo<Integer, byte[]> heavy = Memo.ofWeight(100, bytes -> bytes.length);
        for (int i = 0; i < 9; i++) {
            heavy.get(i, () -> new byte[40]);
        }
        assertThat(IntStream.range(0, 9).filter(i -> heavy.find(i).isPresent())).containsExactly(7, 8);
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
