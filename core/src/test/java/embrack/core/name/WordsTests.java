package embrack.core.name;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordsTests {

    @ParameterizedTest
    @CsvSource({
        "input, an input, inputs",
        "USB link, a USB link, USB links",
        "unit, a unit, units",
        "hour, an hour, hours",
        "switch, a switch, switches",
        "box, a box, boxes",
        "Power supply, a Power supply, Power supplies",
        "day, a day, days",
        "one-shot, a one-shot, one-shots",
        "app, an app, apps",
        "use, a use, uses"
    })
    void thingsAreSaidAsPeopleSayThem(String thing, String one, String several) {
        assertThat(Words.a(thing)).isEqualTo(one);
        assertThat(Words.count(1, thing)).isEqualTo("1 " + thing);
        assertThat(Words.count(2, thing)).isEqualTo("2 " + several);
    }
}
