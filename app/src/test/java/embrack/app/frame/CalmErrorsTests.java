package embrack.app.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;

class CalmErrorsTests {

    @Test
    void noPageIsDrawnForWhomNobodyWaits() {
        assertThat(CalmErrors.isNobodyThere(new IOException("connection reset")))
                .isTrue();
        assertThat(CalmErrors.isNobodyThere(new AsyncRequestTimeoutException()))
                .as("a page that listened to changes long enough")
                .isTrue();
        assertThat(CalmErrors.isNobodyThere(new IllegalStateException("ours"))).isFalse();
    }
}
