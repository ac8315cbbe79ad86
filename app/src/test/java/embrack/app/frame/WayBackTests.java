package embrack.app.frame;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.store.RigId;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WayBackTests {

    @ParameterizedTest
    @CsvSource({
        "/rigs/7/switches/voice-board/1/2, /rigs/7/switches/voice-board/1/2",
        "/rigs/7/preflight, /rigs/7/preflight",
        "'', /rigs/7/gear",
        "/rigs/8/preflight, /rigs/7/gear",
        "https://elsewhere.example/, /rigs/7/gear",
        "//elsewhere.example/, /rigs/7/gear",
        "/rigs/7/../../elsewhere, /rigs/7/gear",
        "/rigs/7/\\elsewhere, /rigs/7/gear",
    })
    void leadsToPagesOfTheRigOnly(String back, String to) {
        assertThat(WayBack.to(new RigId(7), back)).isEqualTo("redirect:" + to);
    }
}
