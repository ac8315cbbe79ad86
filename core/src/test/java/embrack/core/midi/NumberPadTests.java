package embrack.core.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NumberPadTests {

    /**
     * What is typed, what it is taken for, and what it then is. DIP switches: binary of the address, common practice,
     * no source.
     */
    @ParameterizedTest(name = "{0} as {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "12        | note                 | C-1 where middle C is C3; C0 where middle C is C4; C1 "
                        + "where middle C is C5",
                "0x0C      | note                 | C-1 where middle C is C3; C0 where middle C is C4; C1 "
                        + "where middle C is C5",
                "0         | program sent         | shown as 0 where a box counts from 0, as 1 where it counts from 1",
                "1         | program shown, counted from 1 | sent as 0",
                "128       | program shown, counted from 1 | sent as 127",
                "16        | channel              | F on the wire: a note begins with 9F, a CC with BF, a PC with CF",
                "8192      | fourteen bits        | high half 64, low half 0",
                "64:0      | fourteen bits        | high half 64, low half 0",
                "1/5       | hexadecimal, binary  | 85, 10000101",
                "97        | program shown, counted from 1 | sent as 96",
                "8A        | byte 1               | this note off message has 0 of its 2 data bytes; then the "
                        + "stream ends",
                "33        | DMX address          | DIP switches 1, 6 on, the others off",
                "512       | DMX address          | DIP switches 10 on, the others off",
                "bank 3 patch 2 of 8 | 8 patches a bank, banks from 0 | sent as 25: program 25 counted from 0,"
                        + " 26 counted from 1",
                "bank 3 patch 2 | 8 patches a bank, banks from 1 | sent as 17: program 17 counted from 0,"
                        + " 18 counted from 1",
                "bank 40, patch 2 of 5 | 5 patches a bank, banks from 0 | no such patch among 128 programs",
                "84 bpm | quarter | 714.3 ms, 1.40 a second",
                "84 bpm | dotted eighth | 535.7 ms, 1.87 a second",
                "127       | value                | 100 % of 127; on two digits it reads 2.7",
                "0b1100    | hexadecimal, binary  | 0C, 1100",
                "7Fh       | controller           | poly mode on",
                "C3        | where middle C is C4 | note 48, 30, 130.81 Hz",
                "C3        | where middle C is C3 | note 60, 3C, 261.63 Hz",
                "g#9       | where middle C is C3 | outside the 128 notes",
                "B1 28 7F  | B1 28 7F             | channel 2: CC 40 (balance, low half), value 127",
                "c0 05     | C0 05                | channel 1: PC 5 from 0, 6 from 1",
                "90 3D 40  | 90 3D 40             | channel 1: note 61 (C#4 where middle C is C4), velocity 64",
                "90 3C 00  | 90 3C 00             | channel 1: note 60, velocity 0: a release",
                "F0 7F 7F 06 02 F7 | F0 7F 7F 06 02 F7 | machine control: PLAY",
                "F0 7F 7F 02 01 01 31 32 F7 | F0 7F 7F 02 01 01 31 32 F7 | show control: GO cue 12",
                "B1 28     | byte 1               | this CC message has 1 of its 2 data bytes; then the stream ends",
            })
    void aNumberIsAllThatItCanBe(String typed, String as, String is) {
        assertThat(NumberPad.of(typed).lines())
                .filteredOn(line -> line.as().equals(as))
                .singleElement()
                .extracting(NumberPad.Line::is)
                .isEqualTo(is);
    }

    @Test
    void reservedNumbersCarryACaution() {
        assertThat(NumberPad.of("0").lines())
                .extracting(NumberPad.Line::caution)
                .contains("0 is bank select: it waits for the next program change");
        assertThat(NumberPad.of("B0 7B 00").lines().getFirst().caution()).startsWith("123 is a channel mode message");
    }

    @Test
    void whatIsNoNumberIsRefusedWithExamples() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> NumberPad.of("middle"))
                .withMessage("Type a number from 0 to 16383, in hexadecimal as 0x0C, a note such as C3, two "
                        + "halves as 1:5, a patch as \"bank 3 patch 2 of 8\", "
                        + "a tempo as 84 bpm, or bytes such as B1 28 7F.");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> NumberPad.of("16384"))
                .withMessage("16384 is beyond 16383, the largest number of fourteen bits.");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> NumberPad.of("200:1"))
                .withMessage("high half must be 0 to 127, was 200");
    }
}
