package embrack.core.offer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.core.Sketch;
import embrack.core.edit.Refused;
import embrack.core.edit.RowEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.Kind;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rows filled by one sentence. */
class RowsTests {

    private static final Plan PLAN = Sketch.of("Rows")
            .box("Board", "ten-switch-treadle-board")
            .box("Faders", "fader-box-8-by-4")
            .box("Mixer", "rack-mixer-24")
            .box("Server", "projection-server")
            .plan();
    private static final DeviceId BOARD = new DeviceId("board");

    @ParameterizedTest(name = "{0} | {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "         | mute inputs 1-4            | 1 mute:input-1, 2 mute:input-2, 3 mute:input-3, "
                        + "4 mute:input-4",
                "1-3      | mute inputs 1 to 4, not 2  | 1 mute:input-1, 2 mute:input-3, 3 mute:input-4",
                "2-4 not 3| mute returns               | 2 mute:return-1, 4 mute:return-2",
                "9, 10    | go cues 3..4               | 9 go:cue-3, 10 go:cue-4",
            })
    void aRowIsFilledInTheOrderOfTheBox(String which, String what, String filled) {
        Plan after = new RowEdit.FillPressed(BOARD, Optional.empty(), 1, false, which == null ? "" : which, what)
                .apply(PLAN);
        assertThat(String.join(
                        ", ",
                        after.switches().of(BOARD).stream()
                                .map(a -> a.at().number() + " "
                                        + a.steps().getFirst().action().key())
                                .toList()))
                .isEqualTo(filled);
    }

    @Test
    void fadersMoveTheLayersOfAServerInEveryBank() {
        Plan after = new RowEdit.FillMoved(
                        new DeviceId("faders"), ControlType.FADER, 1, true, "1-4", "opacity of layers 1-4")
                .apply(PLAN);
        assertThat(after.switches().travelsOf(new DeviceId("faders")))
                .hasSize(16)
                .allSatisfy(control -> assertThat(control.targets())
                        .singleElement()
                        .satisfies(target -> assertThat(target.part().text())
                                .isEqualTo("layer-" + control.at().number())));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1-3  | mute inputs 1-4 | 3 to fill and 4 to fill them with: name as many of one as of the other.",
                "1-2 not 1-2 | mute inputs | None is left to fill: each does something already.",
                "1-12 | mute inputs 1-4 | \"1-12\" does not lie in 1 to 10, from low to high.",
                "1-3  | polish the brass| Nothing in the rig is called so. Write what, then which: mute inputs 1-8.",
                "1-3  | mute inputs 15-25| There is no Input 25.",
            })
    void whatDoesNotGoTogetherIsSaid(String which, String what, String words) {
        assertThatThrownBy(() -> new RowEdit.FillPressed(BOARD, Optional.empty(), 1, false, which, what).apply(PLAN))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(words);
    }

    /** Words that people say, and what they stand for on boxes; common practice, no source. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "brightness of layer 2  | set level of Layer 2",
                "volume layers 3        | set level of Layer 3",
                "unmute returns 1       | open Return 1",
                "silence input 2        | mute Input 2",
                "inputs 12 mute         | mute Input 12",
                "launch timeline        | play Timeline",
                "dark                   | switch on Blackout",
                "go to cue 4            | go to Cue 4",
            })
    void aSearchKnowsPeoplesWords(String search, String action) {
        Offer first = new Offers(PLAN).find(Sketch.at("board 1"), search).getFirst();
        assertThat(PLAN.rig().words(first.step().device(), first.step().action()))
                .startsWith(action);
    }

    @Test
    void padsGoByTheirKeys() {
        Plan pads = Sketch.of("Pads")
                .box("Board", "ten-switch-treadle-board")
                .box(
                        "Pads",
                        Kind.TRACK_PLAYER,
                        "port In: 5-pin in\nsetting MIDI receive channel: 1..16, factory 1",
                        "play Pad {C, Db, D, Eb, E, F, Gb, G, Ab, A, Bb, B}: note 60..71")
                .plan();
        assertThat(new RowEdit.FillPressed(BOARD, Optional.empty(), 1, false, "", "pads G to D").row(pads))
                .extracting(each -> each.offer().step().action().part().text())
                .containsExactly("pad-g", "pad-ab", "pad-a", "pad-bb", "pad-b", "pad-c", "pad-db", "pad-d");
    }

    @Test
    void whatTheBoardWorksAlreadyComesFirst() {
        Plan two = Sketch.of("Two mixers")
                .box("Voice board", "four-switch-floor-board")
                .box("Vocal mixer", "rack-mixer-24")
                .box("Choir mixer", "rack-mixer-24")
                .step("voice-board 2: choir-mixer mute:input-5")
                .plan();
        assertThat(new Offers(two)
                        .find(Sketch.at("voice-board 1"), "mute input 9")
                        .getFirst()
                        .step()
                        .device()
                        .text())
                .isEqualTo("choir-mixer");
    }
}
