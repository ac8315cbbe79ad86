package embrack.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.RandomRigs;
import embrack.core.gear.Model;
import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a rig looks up is what it would find by looking through all; and it may be made at once or bit by bit. */
class RigLinksTests {

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void theLinksOfADeviceAreThoseOfAllThatAreInIt(int seed) {
        Rig rig = RandomRigs.withGestures(seed, 12).rig();
        for (Device device : rig.devices()) {
            assertThat(rig.linksIn(device.id()))
                    .isEqualTo(rig.links().stream()
                            .filter(link -> link.isIn(device.id()))
                            .toList());
            for (Socket socket : rig.sockets(device.id())) {
                assertThat(rig.linksIn(socket))
                        .isEqualTo(rig.links().stream()
                                .filter(link ->
                                        link.from().equals(socket) || link.to().equals(socket))
                                .toList());
            }
        }
        assertThat(rig.linksIn(new DeviceId("no-such-box"))).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void devicesAddedAtOnceAreAsIfTheyWereAddedOneByOne(int seed) {
        Rig rig = RandomRigs.withGestures(seed, 12).rig();
        List<Device> boxes = rig.devices().stream()
                .map(device -> device.withHost(Optional.empty()))
                .toList();
        List<Model> theirs =
                boxes.stream().map(device -> rig.model(device.id())).toList();
        Rig empty = Rig.empty(new TapeLabel("Made again"));
        Rig oneByOne = empty;
        for (Device device : boxes) {
            oneByOne = oneByOne.withDevice(device, rig.model(device.id()));
        }
        Rig atOnce = empty.withDevices(boxes, theirs);
        assertThat(atOnce).isEqualTo(oneByOne);
        assertThat(atOnce.withDevices(List.of(), List.of())).isEqualTo(atOnce);
        // A description that is there already counts, whatever comes with another box.
        assertThat(atOnce.models()).isEqualTo(oneByOne.models());
        assertThatIllegalArgumentException()
                .isThrownBy(() -> atOnce.withDevices(List.of(boxes.getFirst()), theirs))
                .withMessageContaining("twice");
    }
}
