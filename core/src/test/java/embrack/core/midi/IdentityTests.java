package embrack.core.midi;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.line.SimulatedRig;
import embrack.core.rig.DeviceId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Answers as MIDI 1.0, "Device Inquiry", lays them out: the lower byte of family and member first. */
class IdentityTests {

    @Test
    void theQuestionIsThatOfTheStandard() {
        assertThat(Identity.REQUEST.hex()).isEqualToIgnoringCase("F0 7E 7F 06 01 F7");
    }

    @ParameterizedTest
    @CsvSource({
        "F07E7F06027D0100020001020304F7, 7D, 1, 2, 01 02 03 04",
        "F07E1006024100020500000000 00F7, 41, 256, 5, 00 00 00 00",
        "F07E7F060200211D7F7F000000000001F7, 211D, 16383, 0, 00 00 00 01"
    })
    void anAnswerIsRead(String hex, String maker, int family, int member, String version) {
        assertThat(Identity.of(message(hex)))
                .contains(new Identity(Integer.parseInt(maker, 16), family, member, version));
    }

    @ParameterizedTest
    @ValueSource(strings = {"F07E7F0601F7", "F07F7F06027D0100020001020304F7", "F07E7F06027D01000200F7", "B0507F"})
    void whatIsNoneIsNone(String hex) {
        assertThat(Identity.of(message(hex))).isEmpty();
    }

    @Test
    void simulatedBoxesBelongToNoMaker() {
        var answer = SimulatedRig.of(Evening.rig().plan())
                .received(new DeviceId("vocal-mixer"), Identity.REQUEST)
                .arrived()
                .getFirst();
        assertThat(Identity.of(answer.message()).orElseThrow().maker()).isEqualTo(Identity.NOBODY);
    }

    private static Message message(String hex) {
        return Decoder.hex(hex).messages().getFirst();
    }
}
