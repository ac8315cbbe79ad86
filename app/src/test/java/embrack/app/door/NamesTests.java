package embrack.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NamesTests {

    private final Names names =
            new Names(List.of("rack.example", ""), "Quay-Laptop.local", "192.0.2.7", "https://rigs.example:8443/");

    @ParameterizedTest
    @CsvSource({
        "localhost:8340, true",
        "LOCALHOST, true",
        "127.0.0.1:8340, true",
        "127.9.9.9, true",
        "[::1]:8340, true",
        "rack.example, true",
        "quay-laptop.local:8343, true",
        "quay-laptop.local., true",
        "192.0.2.7:8343, true",
        "rigs.example:8443, true",
        "more.rigs.example, false",
        "elsewhere.example, false",
        "localhost.elsewhere.example, false",
        "127.0.0.1.elsewhere.example:80, false",
        "'', false",
        "192.0.2.8, false",
        "0.0.0.0, false",
        "[::1].elsewhere.example, false",
        "rack.example.elsewhere.example, false"
    })
    void answersToItsOwnNamesOnly(String host, boolean implementation) {
        assertThat(names.answersTo(Names.nameOf(host))).isEqualTo(implementation);
    }

    @ParameterizedTest
    @CsvSource({
        "http://localhost:8340, true",
        "HTTP://LOCALHOST:8340, true",
        "http://localhost, false",
        "https://localhost:8340, false",
        "http://elsewhere.example:8340, false",
        "null, false",
        "http://localhost:8340.elsewhere.example, false",
        "http://user@localhost:8340, false",
        "'', false",
        "not a url, false"
    })
    void onlyItsOwnOriginMayAsk(String origin, boolean own) {
        assertThat(Names.isOwn(origin, "http", "localhost:8340")).isEqualTo(own);
    }

    /** Beyond loopback only with accounts, and with TLS or a stated proxy. */
    @ParameterizedTest
    @CsvSource({
        "false, false, make the first account",
        "true, false, make the first account",
        "false, true, EMBRACK_PROXY",
        "true, true, ''"
    })
    void whereItMayListen(boolean hasTlsOrProxy, boolean hasAccounts, String words) {
        assertThat(Listening.problem(hasTlsOrProxy, hasAccounts).orElse("")).contains(words);
        assertThat(Listening.problem(hasTlsOrProxy, hasAccounts).isEmpty()).isEqualTo(words.isEmpty());
        assertThat(Listening.isLoopback("127.0.0.1")).isTrue();
        assertThat(Listening.isLoopback("localhost")).isTrue();
        assertThat(Listening.isLoopback("0.0.0.0")).isFalse();
        assertThat(Listening.isLoopback("192.0.2.7")).isFalse();
    }
}
