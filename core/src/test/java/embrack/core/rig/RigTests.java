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
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.Arguments;

class RigTests {

    private static final Rig CHAIN = MuteBoard.withSecondMixer(3).rig();
    private static final Rig BARE = new Rig(CHAIN.name(), CHAIN.models(), CHAIN.devices(), List.of());

    private static List<Arguments> plugs() {
        return List.of(
                Arguments.of(BARE, OUT, IN, ""),
                Arguments.of(BARE, THRU, SECOND_IN, ""),
                Arguments.of(BARE, OUT, THRU, "Voice board MIDI OUT and Vocal mixer MIDI THRU both send. A cable goes from OUT or THRU to IN."),
                Arguments.of(BARE, IN, SECOND_IN, "Vocal mixer MIDI IN and Choir mixer MIDI IN both only receive. A cable starts at an OUT or THRU."),
                Arguments.of(BARE, IN, OUT, "Vocal mixer MIDI IN only receives, so the cable starts at Voice board MIDI OUT. Swap the two ends."),
                Arguments.of(BARE, THRU, IN, "Both ends are in Vocal mixer. A cable goes from one box to another."),
                Arguments.of(CHAIN, OUT, SECOND_IN, "Voice board MIDI OUT already holds the cable from Voice board MIDI OUT to Vocal mixer MIDI IN."
                        + " One socket takes one cable; pull that one first."));
    }

    @ParameterizedTest
    @MethodSource("plugs")
    void cablesGoFromOutToInOncePerSocket(Rig rig, Socket from, Socket to, String refusal) {
        assertThat(Cabling.refusal(rig, from, to).orElse("")).isEqualTo(refusal);
    }

    @Test
    void pathsLeadThroughThru() {
        Paths paths = new Paths(CHAIN);
        assertThat(paths.between(BOARD, SECOND).orElseThrow()).containsExactly(new Cable(OUT, IN), new Cable(THRU, SECOND_IN));
        assertThat(paths.words(paths.between(BOARD, MIXER).orElseThrow())).isEqualTo("Voice board MIDI OUT to Vocal mixer MIDI IN");
        assertThat(paths.between(MIXER, SECOND)).as("a THRU sends nothing of its own").isEmpty();
        assertThat(new Paths(BARE).between(BOARD, MIXER)).isEmpty();
    }

    @Test
    void aRigIsAlwaysWhole() {
        assertThatIllegalArgumentException().isThrownBy(() -> CHAIN.withDeviceChanged(SECOND, d -> d.withName(CHAIN.name(MIXER))))
                .withMessage("two devices are called \"Vocal mixer\"");
        assertThatIllegalArgumentException().isThrownBy(() -> CHAIN.withCable(new Cable(OUT, SECOND_IN)))
                .withMessage("Choir mixer MIDI IN holds two cables; one socket takes one");
        assertThatIllegalArgumentException().isThrownBy(() -> new Rig(CHAIN.name(), List.of(), CHAIN.devices(), List.of()))
                .withMessage("Voice board uses the model \"four-switch-floor-board\", which is not there");
        assertThat(CHAIN.withoutDevice(MIXER).cables()).isEmpty();
        assertThat(CHAIN.withoutDevice(BOARD).models()).hasSize(1);
    }
}
