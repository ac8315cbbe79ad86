package embrack.app.store.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.lang.reflect.Proxy;
import java.time.Duration;
import java.time.Instant;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.dao.DataAccessResourceFailureException;

/** Servers go by the clock of the database, whatever their own machine shows. */
class SharedClockTests {

    /** A database whose clock is years behind or before that of this machine, or at the start of its counting. */
    @ParameterizedTest
    @ValueSource(strings = {"1970-01-01T00:00:00Z", "2019-02-28T23:59:59.999999Z", "2100-01-01T12:00:00.000001Z"})
    void itShowsWhatTheDatabaseShows(Instant there) {
        long began = System.nanoTime();
        var clock = new SharedClock(database(() -> micros(there)));
        Instant first = clock.now();
        Instant second = clock.now();
        Duration passed = Duration.ofNanos(System.nanoTime() - began);
        assertThat(first).isBetween(there, there.plus(passed));
        assertThat(second).isBetween(first, there.plus(passed));
    }

    /** Two servers that asked at different times show the same: time is counted from what was asked. */
    @Test
    void twoServersShowTheSame() {
        Instant there = Instant.parse("2031-05-01T20:00:00Z");
        long began = System.nanoTime();
        Supplier<Long> running = () -> micros(there) + (System.nanoTime() - began) / 1_000;
        var one = new SharedClock(database(running));
        var other = new SharedClock(database(running));
        Duration making = Duration.ofNanos(System.nanoTime() - began);
        for (int i = 0; i < 100; i++) {
            long before = System.nanoTime();
            Instant here = one.now();
            Instant beside = other.now();
            Duration between = Duration.ofNanos(System.nanoTime() - before);
            assertThat(Duration.between(here, beside).abs()).isLessThanOrEqualTo(between.plus(making));
        }
    }

    @Test
    void aServerThatCannotAskDoesNotBegin() {
        JobMapper away = database(() -> {
            throw new DataAccessResourceFailureException("away");
        });
        assertThatThrownBy(() -> new SharedClock(away)).isInstanceOf(DataAccessResourceFailureException.class);
    }

    private static long micros(Instant at) {
        return at.getEpochSecond() * 1_000_000 + at.getNano() / 1_000;
    }

    private static JobMapper database(Supplier<Long> clock) {
        return (JobMapper) Proxy.newProxyInstance(
                JobMapper.class.getClassLoader(), new Class<?>[] {JobMapper.class}, (proxy, method, arguments) -> {
                    assertThat(method.getName()).isEqualTo("clock");
                    return clock.get();
                });
    }
}
