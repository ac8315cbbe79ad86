package embrack.core.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ConventionTests {

    /** Note 60 is middle C in MIDI 1.0; that makers call it C3, C4 or C5 is common practice, no source. */
    @ParameterizedTest
    @CsvSource({
        "60, C3, C4, C5",
        "12, C-1, C0, C1",
        "0, C-2, C-1, C0",
        "61, C#3, C#4, C#5",
        "127, G8, G9, G10",
        "69, A3, A4, A5"
    })
    void notesAreNamedByThreeConventions(int note, String three, String four, String five) {
        assertThat(NoteNaming.C3.name(note)).isEqualTo(three);
        assertThat(NoteNaming.C4.name(note)).isEqualTo(four);
        assertThat(NoteNaming.C5.name(note)).isEqualTo(five);
        IntStream.range(3, 6)
                .mapToObj(NoteNaming::ofMiddleC)
                .filter(n -> NoteNaming.isName(n.name(note)))
                .forEach(naming -> assertThat(naming.number(naming.name(note))).isEqualTo(note));
    }

    @Test
    void flatsAndSharpsMeetAndNotesOutsideAreRefused() {
        assertThat(NoteNaming.C4.number("Bb3"))
                .isEqualTo(NoteNaming.C4.number("a#3"))
                .isEqualTo(58);
        assertThat(NoteNaming.C4.number("Cb4")).isEqualTo(59);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> NoteNaming.C3.number("A8"))
                .withMessage("A8 is outside the 128 notes, C-2 to G8 where middle C is C3");
    }

    /**
     * Source: ISO 16:1975 for A = 440 Hz; the others by equal temperament, as printed in acoustics handbooks (from
     * memory).
     */
    @ParameterizedTest
    @CsvSource({"69, 440.0", "57, 220.0", "60, 261.6256", "21, 27.5", "108, 4186.009", "0, 8.1758"})
    void notesSoundAtTheirFrequency(int note, double hertz) {
        assertThat(NoteNaming.hertz(note)).isCloseTo(hertz, within(0.0005 * Math.max(1, hertz / 100)));
    }

    /** Source: MIDI 1.0 Detailed Specification, table III and "Channel Mode Messages". */
    @ParameterizedTest
    @CsvSource({
        "0, bank select, true",
        "32, 'bank select, low half', true",
        "1, modulation wheel, false",
        "7, channel volume, false",
        "39, 'channel volume, low half', false",
        "64, damper pedal, false",
        "98, 'non-registered parameter, low half', true",
        "120, all sound off, true",
        "123, all notes off, true",
        "127, poly mode on, true",
        "20, , false"
    })
    void controllersHaveTheStandardsNames(int controller, String name, boolean reserved) {
        assertThat(Controllers.name(controller).orElse(null)).isEqualTo(name);
        assertThat(Controllers.reserved(controller).isPresent()).isEqualTo(reserved);
    }

    /**
     * Source: MIDI 1.0 Detailed Specification: high half times 128 plus low half; bank select CC 0 and CC 32, then the
     * program.
     */
    @Test
    void fourteenBitsTravelInTwoHalves() {
        assertThat(FourteenBit.of(64, 0)).isEqualTo(8192);
        assertThat(FourteenBit.program(new Channel(3), 130, 4))
                .extracting(Message::hex)
                .containsExactly("B2 00 01", "B2 20 02", "C2 04");
        assertThat(FourteenBit.controlChanges(new Channel(1), 7, 16_383))
                .extracting(Message::hex)
                .containsExactly("B0 07 7F", "B0 27 7F");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> FourteenBit.controlChanges(new Channel(1), 32, 0))
                .withMessage("a controller of fourteen bits is 0 to 31, was 32");
    }
}
