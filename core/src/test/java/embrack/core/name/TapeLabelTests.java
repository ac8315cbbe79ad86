package embrack.core.name;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TapeLabelTests {

    @ParameterizedTest
    @CsvSource({
        "' Vocal   mixer ', Vocal mixer",
        "Lantern desk 2, Lantern desk 2",
        "Ærø & Ñandú, Ærø & Ñandú",
    })
    void labelsAreTidied(String typed, String label) {
        assertThat(TapeLabel.parse(typed).text()).isEqualTo(label);
    }

    @Test
    void labelsThatDoNotFitOnTapeAreRefusedInPlainWords() {
        assertRefused("", "Write a name; it is empty.");
        assertRefused(" \t ", "Write a name; it is empty.");
        assertRefused("x".repeat(10_000), "A name has at most 40 characters; this one has 10000.");
        assertRefused("<b>Loud</b>", "Leave out < and >; a name is plain text.");
        assertRefused("Two\nlines", "Leave out control characters; a name is one line of plain text.");
        assertRefused("turned \u202Earound", "Leave out control characters; a name is one line of plain text.");
    }

    private static void assertRefused(String typed, String message) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> TapeLabel.parse(typed))
                .withMessage(message);
    }

    @ParameterizedTest
    @CsvSource({
        "Return 1, return-1",
        "'  Pad C# ', pad-c-sharp",
        "Küche & Tür, kuche-tur",
        "---, u2d",
        "\u4e8c 3, u4e8c-3",
        "A name of forty characters, a-name-of-forty-characters"
    })
    void identifiersAreMadeOfNames(String name, String id) {
        assertThat(Slug.of(name)).isEqualTo(id);
    }
}
