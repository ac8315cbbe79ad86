package embrack.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.store.crew.AccountId;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class HasteTests {

    @Test
    void whoSendsTooMuchWaitsAndNobodyElseDoes() {
        var clock = new AtomicLong();
        var haste = new Haste(clock::get);
        AccountId hasty = new AccountId(1);
        assertThat(IntStream.range(0, Haste.MOST)).allMatch(i -> haste.lets(hasty));
        assertThat(haste.lets(hasty)).isFalse();
        assertThat(haste.lets(new AccountId(2))).isTrue();
        clock.addAndGet(1_000_000_000L);
        assertThat(IntStream.range(0, Haste.EACH_SECOND)).allMatch(i -> haste.lets(hasty));
        assertThat(haste.lets(hasty)).isFalse();
        clock.addAndGet(3_600_000_000_000L);
        assertThat(IntStream.range(0, Haste.MOST)).allMatch(i -> haste.lets(hasty));
        assertThat(haste.lets(hasty)).isFalse();
    }
}
