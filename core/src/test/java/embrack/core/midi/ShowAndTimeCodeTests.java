package embrack.core.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.midi.MachineControl.Locate;
import embrack.core.midi.MachineControl.Plain;
import embrack.core.midi.ShowControl.Command;
import embrack.core.midi.ShowControl.Format;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ShowAndTimeCodeTests {

    /** Source: MMC 1.0 (RP-013), command numbers. */
    @ParameterizedTest
    @CsvSource({
        "STOP, F0 7F 7F 06 01 F7",
        "PLAY, F0 7F 7F 06 02 F7",
        "DEFERRED_PLAY, F0 7F 7F 06 03 F7",
        "RECORD_STROBE, F0 7F 7F 06 06 F7",
        "PAUSE, F0 7F 7F 06 09 F7"
    })
    void machineCommandsHaveTheirNumbers(Plain command, String hex) {
        assertThat(command.to(MachineControl.ALL_DEVICES).hex()).isEqualTo(hex);
        assertThat(MachineControl.in(command.to(5))).contains(command);
    }

    /** Source: MMC 1.0 (RP-013), LOCATE [TARGET]; 25 frames are rate bits 01, so one hour is 21. */
    @Test
    void locateCarriesTimeCode() {
        var moment = new TimeCode(FrameRate.FPS_25, 1, 2, 3, 4);
        assertThat(new Locate(moment).to(0x7F).hex()).isEqualTo("F0 7F 7F 06 44 06 01 21 02 03 04 00 F7");
        assertThat(MachineControl.in(new Locate(moment).to(3))).contains(new Locate(moment));
        assertThat(MachineControl.in(SystemExclusive.of(0x7F, 0x7F, 0x06, 0x44, 0x06, 0x01, 0, 61, 0, 0, 0)))
                .isEmpty();
    }

    /**
     * Source: MSC 1.1 (RP-002/RP-014): lighting 01, GO 01, STOP 02, RESUME 03, ALL_OFF 08; cues in ASCII, 00 between.
     */
    @ParameterizedTest
    @CsvSource({
        "LIGHTING,   GO,      12,   ,  F0 7F 7F 02 01 01 31 32 F7",
        "LIGHTING,   GO,      12.5, 3, F0 7F 7F 02 01 01 31 32 2E 35 00 33 F7",
        "SOUND,      STOP,    ,     ,  F0 7F 7F 02 10 02 F7",
        "PROJECTION, RESUME,  7,    ,  F0 7F 7F 02 40 03 37 F7",
        "ALL,        ALL_OFF, ,     ,  F0 7F 7F 02 7F 08 F7",
    })
    void showCommandsCarryCueAndList(Format format, Command command, String cue, String list, String hex) {
        var control = new ShowControl(format, command, Optional.ofNullable(cue), Optional.ofNullable(list));
        assertThat(control.to(0x7F).hex()).isEqualTo(hex);
        assertThat(ShowControl.in(control.to(9))).contains(control);
        assertThat(MachineControl.in(control.to(9))).isEmpty();
    }

    /** Source: SMPTE ST 12-1 (formerly 12M): drop-frame counting. */
    @Test
    void dropFrameLeavesOutTwoNumbersAMinuteButNotInEveryTenth() {
        FrameRate drop = FrameRate.FPS_29_97_DROP;
        for (int frame : new int[] {0, 1}) {
            assertThatIllegalArgumentException()
                    .isThrownBy(() -> new TimeCode(drop, 0, 1, 0, frame))
                    .withMessage(("00:01:00;0%d does not exist at 29.97 drop: the first two numbers of this minute "
                                    + "are left out")
                            .formatted(frame));
            assertThat(new TimeCode(drop, 0, 10, 0, frame).toFrames()).isEqualTo(17_982 + frame);
        }
        assertThat(new TimeCode(drop, 0, 10, 0, 0).toFrames()).isEqualTo(17_982);
        assertThat(new TimeCode(drop, 1, 0, 0, 0).toFrames()).isEqualTo(107_892);
        assertThat(TimeCode.ofFrames(drop, 1_800)).hasToString("00:01:00;02");
        assertThat(TimeCode.ofFrames(drop, 1_799)).hasToString("00:00:59;29");
        // An hour of numbers is an hour of clock, but for 3.6 ms: 107 892 frames of 1001/30000 s.
        assertThat(drop.micros(107_892)).isEqualTo(3_599_996_400L);
    }

    @Property
    void framesCountAndComeBack(@ForAll FrameRate rate, @ForAll @LongRange(min = 0, max = 2_073_599) long count) {
        TimeCode moment = TimeCode.ofFrames(rate, count);
        assertThat(moment.toFrames()).isEqualTo(count);
        assertThat(TimeCode.ofQuarterFrames(moment.quarterFrames())).contains(moment);
        assertThat(TimeCode.ofFullFrame(moment.fullFrame())).contains(moment);
    }

    /**
     * Source: MIDI Time Code (RP-004/008): F1 0n frames low ... 7n hours high with the rate; full frame F0 7F 7F 01 01.
     */
    @ParameterizedTest
    @EnumSource(FrameRate.class)
    void timeCodeTravelsInEightPiecesOrAtOnce(FrameRate rate) {
        var moment = new TimeCode(rate, 17, 34, 51, 22);
        String last = "F1 7" + Integer.toHexString(rate.ordinal() << 1 | 1).toUpperCase(java.util.Locale.ROOT);
        assertThat(moment.quarterFrames())
                .extracting(Message::hex)
                .containsExactly("F1 06", "F1 11", "F1 23", "F1 33", "F1 42", "F1 52", "F1 61", last);
        assertThat(moment.fullFrame().hex())
                .isEqualTo("F0 7F 7F 01 01 %02X 22 33 16 F7".formatted(rate.ordinal() << 5 | 17));
    }
}
