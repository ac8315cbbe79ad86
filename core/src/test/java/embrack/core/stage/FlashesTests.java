package embrack.core.stage;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.light.Lights;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FlashesTests {

    /**
     * Dark and light by turns, at these milliseconds. A flash is a pair of changes; more than three in any second are
     * too many (WCAG 2.2, general flash).
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "every 107 | 4.7",
                "every 150 | 3.3",
                "every 167 | none",
                "every 500 | none",
                "0 100 200 450 550 650 750 | 4.0",
                "0 100 200 300 400 500 | none",
                "0 100 200 300 2000 2100 2200 2300 | none",
                "0 2000 4000 4100 4200 4300 4400 4500 4600 | 5.0"
            })
    void pairsOfChangesInASecondAreCounted(String times, String rate) {
        List<Sight> sights = new ArrayList<>();
        for (long micros : micros(times)) {
            sights.add(new Sight(micros, Optional.empty(), Optional.empty(), sights.size() % 2 == 0));
        }
        assertThat(Flashes.of(Lights.NONE, sights, 0)
                        .map(flashes -> String.format(Locale.ROOT, "%.1f", flashes.rate()))
                        .orElse("none"))
                .isEqualTo(rate);
    }

    private static List<Long> micros(String times) {
        return times.startsWith("every ")
                ? Stream.iterate(0L, n -> n + 1)
                        .limit(40)
                        .map(n -> n * Long.parseLong(times.substring(6)) * 1_000)
                        .toList()
                : Stream.of(times.split(" "))
                        .map(ms -> Long.parseLong(ms) * 1_000)
                        .toList();
    }
}
