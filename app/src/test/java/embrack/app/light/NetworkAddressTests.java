package embrack.app.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.core.edit.Refused;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Light stays in the building (private addresses: RFC 1918 and 3927; multicast of streaming ACN: ANSI E1.31). */
class NetworkAddressTests {

    @ParameterizedTest
    @ValueSource(strings = {"10.0.0.20", " 192.168.1.7 ", "172.16.0.1", "169.254.3.4", "127.0.0.1", "239.255.0.1"})
    void isTakenInFigures(String typed) {
        assertThat(NetworkAddress.of(typed).getPort()).isEqualTo(5568);
        assertThat(NetworkAddress.of(typed).getAddress().getHostAddress()).isEqualTo(typed.strip());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"8.8.4.4", "172.32.0.1", "224.0.0.1", "255.255.255.255", "999.1.1.1", "10.0.0", "node", "::1"})
    void isRefusedBeyondTheBuildingAndInNames(String typed) {
        assertThatThrownBy(() -> NetworkAddress.of(typed))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("in figures: 10.0.0.20");
    }
}
