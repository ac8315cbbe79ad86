package embrack.core.rig;

import static embrack.core.MuteBoard.BOARD;
import static embrack.core.MuteBoard.IN;
import static embrack.core.MuteBoard.MIXER;
import static embrack.core.MuteBoard.OUT;
import static embrack.core.MuteBoard.SECOND;
import static embrack.core.MuteBoard.SECOND_IN;
import static embrack.core.MuteBoard.THRU;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.MuteBoard;
import embrack.core.way.Ways;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class RigTests {

    private static final Rig CHAIN = MuteBoard.withSecondMixer(3).rig();
    private static final Rig BARE = new Rig(CHAIN.name(), CHAIN.models(), CHAIN.devices(), List.of(), List.of());

    private static List<Arguments> plugs() {
        return List.of(
                Arguments.of(BARE, OUT, IN, ""),
                Arguments.of(BARE, THRU, SECOND_IN, ""),
                Arguments.of(
                        BARE,
                        OUT,
                        THRU,
                        "Voice board MIDI OUT and Vocal mixer MIDI THRU both send. A link goes from an OUT "
                                + "or THRU to an IN."),
                Arguments.of(
                        BARE,
                        IN,
                        SECOND_IN,
                        "Vocal mixer MIDI IN and Choir mixer MIDI IN both only receive. A link starts at an "
                                + "OUT or THRU."),
                Arguments.of(
                        BARE,
                        IN,
                        OUT,
                        "Vocal mixer MIDI IN only receives, so the link starts at Voice board MIDI OUT. Swap "
                                + "the two ends."),
                Arguments.of(BARE, THRU, IN, "Both ends are in Vocal mixer. A link goes from one box to another."),
                Arguments.of(
                        CHAIN,
                        OUT,
                        SECOND_IN,
                        "Voice board MIDI OUT already holds the link from Voice board MIDI OUT to Vocal mixer MIDI IN."
                                + " It takes one; pull that one first."));
    }

    @ParameterizedTest
    @MethodSource("plugs")
    void cablesGoFromOutToInOncePerSocket(Rig rig, Socket from, Socket to, String refusal) {
        assertThat(Linking.refusal(rig, from, to).orElse("")).isEqualTo(refusal);
    }

    @Test
    void pathsLeadThroughThru() {
        Ways ways = new Ways(CHAIN);
        assertThat(ways.between(BOARD, SECOND).orElseThrow().links())
                .containsExactly(new Link(OUT, IN), new Link(THRU, SECOND_IN));
        assertThat(ways.between(BOARD, MIXER).orElseThrow().words(CHAIN))
                .isEqualTo("Voice board MIDI OUT to Vocal mixer MIDI IN");
        assertThat(ways.between(MIXER, SECOND))
                .as("a THRU sends nothing of its own")
                .isEmpty();
        assertThat(new Ways(BARE).between(BOARD, MIXER)).isEmpty();
    }

    @Test
    void aRigIsAlwaysWhole() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> CHAIN.withDeviceChanged(SECOND, d -> d.withName(CHAIN.name(MIXER))))
                .withMessage("two devices are called \"Vocal mixer\"");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> CHAIN.withLink(new Link(OUT, SECOND_IN)))
                .withMessage("Choir mixer MIDI IN already holds the link from Vocal mixer MIDI THRU to Choir "
                        + "mixer MIDI IN. It takes one; pull that one first.");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Rig(CHAIN.name(), List.of(), CHAIN.devices(), List.of(), List.of()))
                .withMessage("Voice board uses the model \"four-switch-floor-board\", which is not there");
        assertThat(CHAIN.withoutDevice(MIXER).links()).isEmpty();
        assertThat(CHAIN.withoutDevice(BOARD).models()).hasSize(1);
    }
}
