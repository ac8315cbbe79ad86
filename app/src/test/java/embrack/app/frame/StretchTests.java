package embrack.app.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StretchTests {

    /** How long the list is, which row is wanted; which rows are shown, the ways to others, the one that is here. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0   | 1    | ''     | ''",
                "1   | 1    | 1..1   | ''",
                "60  | 60   | 1..60  | ''",
                "61  | 1    | 1..60  | [1 to 60] 61 to 61",
                "61  | 61   | 61..61 | 1 to 60 [61 to 61]",
                "130 | 75   | 61..120 | 1 to 60 [61 to 120] 121 to 130",
                "130 | 9999 | 121..130 | 1 to 60 61 to 120 [121 to 130]",
                "600 | 301 | 301..360 | 1 to 60 181 to 240 241 to 300 [301 to 360] 361 to 420 421 to 480 541 to 600",
                "130 | -7   | 1..60  | [1 to 60] 61 to 120 121 to 130",
                "130 | -2147483648 | 1..60 | [1 to 60] 61 to 120 121 to 130"
            })
    void aLongListIsShownInStretches(int all, int at, String shown, String ways) {
        Stretch<Integer> stretch =
                Stretch.of(IntStream.rangeClosed(1, all).boxed().toList(), at, 60, "/songs?at=");
        assertThat(
                        stretch.rows().isEmpty()
                                ? ""
                                : stretch.rows().getFirst() + ".."
                                        + stretch.rows().getLast())
                .isEqualTo(shown);
        assertThat(stretch.others().stream()
                        .map(other -> other.isHere() ? "[%s]".formatted(other.words()) : other.words())
                        .collect(Collectors.joining(" ")))
                .isEqualTo(ways);
        assertThat(stretch.others())
                .allSatisfy(other -> assertThat(other.href())
                        .isEqualTo("/songs?at=" + other.words().replaceAll(" to .*", "")));
    }
}
