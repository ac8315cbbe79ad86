package embrack.core.crew;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PasswordTests {

    /** Which are tried first: common practice, no source; lengths by NIST SP 800-63B, from memory. */
    @ParameterizedTest
    @CsvSource({
        "elevenchars, SHORT",
        "'           ', SHORT",
        "password1234, COMMON",
        "Password2027!, COMMON",
        "passwordpassword, COMMON",
        "123456789012, COMMON",
        "abcdefghijklm, COMMON",
        "mlkjihgfedcba, COMMON",
        "qwertyuiopasdf, COMMON",
        "aaaaaaaaaaaaaaaa, COMMON",
        "abcabcabcabcabc, COMMON",
        "12341234123412, COMMON",
        "correcthorsebatterystaple, COMMON",
        "SummerSummer2026, COMMON",
        "jory-quay-2027, ''",
        "joryjoryjory, NAME",
        "jory1jory2jory3, NAME",
        "wet ropes in the loft, ''",
        "Hafenlichter über Nacht, ''",
        "灯台の下の古い縄と鐘と舟, ''",
        "aB3$aB3$xY9!, ''"
    })
    void whatIsWrongWithIt(String password, String flaw) {
        assertThat(Password.flaw(password, "Jory"))
                .isEqualTo(flaw.isEmpty() ? Optional.empty() : Optional.of(Password.Flaw.valueOf(flaw)));
    }

    @Test
    void lengthIsCountedAsPeopleCount() {
        assertThat(Password.flaw("🎵🎷🥁🎹🎺🎻🪕🎸🪗🪘🎤", "x")).contains(Password.Flaw.SHORT);
        assertThat(Password.flaw("🎵🎷🥁🎹🎺🎻🪕🎸🪗🪘🎤🎧", "x")).isEmpty();
        assertThat(Password.flaw("wet rope ".repeat(30), "x")).contains(Password.Flaw.LONG);
        assertThat(Password.normal("ﬁne e\u0301tude")).isEqualTo("fine \u00e9tude");
    }

    @Test
    void aCodeIsReadHoweverItIsWritten() {
        var random = new Random(7);
        Set<String> codes =
                Stream.generate(() -> Code.next(random)).limit(1_000).collect(Collectors.toSet());
        assertThat(codes)
                .hasSize(1_000)
                .allMatch(code -> code.matches("([0-9A-HJKMNP-TV-Z]{4}-){3}[0-9A-HJKMNP-TV-Z]{4}"));
        assertThat(codes).allSatisfy(code -> {
            String typed = code.toLowerCase(java.util.Locale.ROOT)
                    .replace('0', 'o')
                    .replace('1', 'l')
                    .replace('-', ' ');
            assertThat(Code.read(typed)).isEqualTo(Code.read(code));
        });
    }

    @Test
    void everyRoleMayDoWhatTheNextMay() {
        for (int i = 1; i < Role.values().length; i++) {
            assertThat(Role.values()[i - 1].rights()).containsAll(Role.values()[i].rights());
        }
        assertThat(Role.GUEST.rights()).containsExactly(Right.READ);
    }
}
