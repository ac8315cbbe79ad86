package embrack.core.gear.question;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.gear.library.Library;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class QuestionsTests {

    /** What is asked of the models that ship, one of them, and what it answers. */
    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "mute by control change      | rack-mixer-24              | true  | Answers to it: CC 40 "
                        + "over 63 is \"mute Input 1\".",
                "mute by control change      | four-switch-program-board  | false | Sends program changes "
                        + "only; for this control changes are needed.",
                "mute by control change      | four-switch-floor-board    | true  | Can have it done: sends "
                        + "control changes.",
                "mute by control change      | stage-mixer-12             | false | Answers to notes for "
                        + "that, not to control changes.",
                "mute                        | stage-mixer-12             | true  | Answers to it: note 36 "
                        + "is \"toggle mute Input 1\".",
                "mute                        | four-switch-program-board  | false | Sends program changes "
                        + "only; for this notes and control changes are needed.",
                "mute                        | scene-desk                 | false | Its chart has no line for it.",
                "mute                        | merger-2-to-1              | false | Answers to nothing and "
                        + "sends nothing of its own.",
                "play                        | tablet-track-player        | true  | Learns it for \"play Tracks\".",
                "at least 8 messages a press | ten-switch-treadle-board   | true  | Sends 8 messages a press.",
                "at least 8 messages a press | four-switch-desk-board     | false | Sends 2 messages a press.",
                "8 per press                 | rack-mixer-24              | false | Has no switches to press.",
                "program table               | sounds-switcher            | true  | 128 programs, Patch 1 to "
                        + "Patch 128.",
                "program table?              | rack-mixer-24              | false | Answers to no program change.",
                "runs from USB power         | four-switch-desk-board     | true  | Runs from USB, 80 mA.",
                "runs from usb               | four-switch-floor-board    | false | Runs from a supply of "
                        + "its own, 60 mA.",
                "runs from batteries         | tablet                     | true  | Runs from USB or "
                        + "batteries, 2000 mA, lasts 7 h.",
                "sends notes                 | pads-and-keys              | true  | Sends notes.",
                "sends pc                    | ten-switch-factory-board   | false | Sends control changes only.",
                "tells a hold                | eight-switch-long-press-board | true | Knows press, release, "
                        + "hold and double press.",
                "long press                  | two-switch-foot-box        | false | Knows press and release.",
                "has a treadle               | ten-switch-treadle-board   | true  | Has 1 expression pedal.",
                "has faders                  | scene-desk                 | false | Has no faders.",
                "has Bluetooth               | bluetooth-bridge-pair      | true  | Has Bluetooth.",
                "5-pin out                   | computer                   | false | Has no 5-pin port.",
                "10 switches and tells a hold, 8 a press | ten-switch-treadle-board | true | Has 10 "
                        + "switches. Knows press, release and hold. Sends 8 messages a press.",
                "10 switches and program table | ten-switch-treadle-board | false | Answers to no program change.",
            })
    void modelsAnswerWithAReason(String asked, String model, boolean can, String because) {
        Questions.Verdict verdict = Questions.parse(asked).of(Library.all()).stream()
                .filter(v -> v.model().id().text().equals(model))
                .findFirst()
                .orElseThrow();
        assertThat(verdict.because()).isEqualTo(because);
        assertThat(verdict.can()).isEqualTo(can);
    }

    @Test
    void thoseThatDoItThemselvesComeFirstAndNobodyIsLeftOut() {
        List<Questions.Verdict> all = Questions.parse("mute by control change").of(Library.all());
        assertThat(all).hasSameSizeAs(Library.all());
        assertThat(all.getFirst().model().id().text()).isEqualTo("rack-mixer-24");
        assertThat(all.stream().map(Questions.Verdict::can).map(String::valueOf).collect(Collectors.joining()))
                .matches("(true)+(false)+");
    }

    @Test
    void everyQuestionCanBeAskedInItsOwnWords() {
        for (String example : Questions.EXAMPLES) {
            Questions asked = Questions.parse(example);
            assertThat(asked.all()).hasSize(1);
            assertThat(Questions.parse(asked.all().getFirst().words()).all()).isEqualTo(asked.all());
        }
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Questions.parse("makes coffee"))
                .withMessage("\"makes coffee\" is not understood. Ask such as:"
                        + " mute by control change, at least 8 messages a press, program table, runs "
                        + "from USB, tells a hold and has Bluetooth.");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Questions.parse(" , "))
                .withMessageStartingWith("Ask something, such as");
    }
}
