package embrack.app.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.app.store.RigDeleted;
import embrack.app.store.RigId;
import embrack.core.edit.Refused;
import embrack.core.light.Frames;
import embrack.core.light.LookId;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

@Timeout(60)
class LightStreamsTests {

    private static final RigId RIG = new RigId(1);

    private final LightStreams streams = new LightStreams();

    @AfterEach
    void end() {
        streams.close();
    }

    private static Plan demo() throws IOException {
        return PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json")));
    }

    /** Bytes go out over loopback, are read by the standard, and are what is meant; the shortest song ends too. */
    @Test
    void whatIsMeantIsHeard() throws IOException, InterruptedException {
        LightStreams.What look = OutputPage.what(demo(), "look harbour");
        streams.start(RIG, "Quay", look, Optional.empty());
        SimulatedReceiver.Heard heard = heard(3);
        assertThat(heard.source()).isEqualTo("Embrack, Quay");
        assertThat(heard.lost()).isZero();
        assertThat(heard.frames()).isEqualTo(streams.state(RIG).orElseThrow().meant());
        LightStreams.What brief = new LightStreams.What("song x", "x", look.onstage(), Optional.of(0L));
        streams.start(RIG, "Quay", brief, Optional.empty());
        while (!streams.state(RIG).orElseThrow().heard().orElseThrow().hasEnded()) {
            Thread.sleep(5);
        }
        assertThat(streams.state(RIG).orElseThrow().hasEnded()).isTrue();
    }

    /** Note 36 on channel 8 is Scene 1 of the desk, which holds Harbour; what is no message changes nothing. */
    @Test
    void standsInForADesk() throws IOException {
        Plan plan = demo();
        streams.start(RIG, "Quay", OutputPage.what(plan, "desk lantern-desk"), Optional.empty());
        streams.hear(RIG, HeardMessages.of("0 9624\n0 zz\n-1 97247f\n0 9726\n0 f8\n0 96247f"));
        assertThat(streams.state(RIG).orElseThrow().live().orElseThrow().sights())
                .as("another channel, and junk")
                .isEmpty();
        streams.hear(RIG, HeardMessages.of("0 97247f"));
        LightStreams.State state = streams.state(RIG).orElseThrow();
        assertThat(state.live().orElseThrow().light().sight().look())
                .isEqualTo(plan.lights().look(new LookId("harbour")));
        assertThat(state.meant())
                .isEqualTo(Map.of(
                        1, new Frames(plan.lights()).of(plan.lights().looks().getFirst(), 1)));
        streams.press(new RigId(2), new SwitchAt(new DeviceId("quay-board"), 1, 4));
        streams.press(RIG, new SwitchAt(new DeviceId("quay-board"), 1, 4));
        assertThat(OutputPage.of(plan, streams.state(RIG))
                        .now()
                        .orElseThrow()
                        .obeys()
                        .orElseThrow())
                .satisfies(obeys -> {
                    assertThat(obeys.shows()).isEqualTo("Lanterns low");
                    assertThat(obeys.feet())
                            .extracting(OutputPage.Foot::words)
                            .containsExactly("Harbour light", "Lanterns low");
                    assertThat(obeys.told().getFirst().made()).isEqualTo("recall Scene 2");
                });
    }

    private SimulatedReceiver.Heard heard(int packets) throws InterruptedException {
        while (true) {
            SimulatedReceiver.Heard heard =
                    streams.state(RIG).orElseThrow().heard().orElseThrow();
            if (heard.packets() >= packets) {
                return heard;
            }
            Thread.sleep(5);
        }
    }

    @Test
    void endsWithItsRigAndIsNotForMany() throws IOException {
        LightStreams.What look = OutputPage.what(demo(), "look harbour");
        for (int rig = 1; rig <= 8; rig++) {
            streams.start(new RigId(rig), "Quay", look, Optional.empty());
        }
        RigId ninth = new RigId(9);
        assertThatThrownBy(() -> streams.start(ninth, "Quay", look, Optional.empty()))
                .isInstanceOf(Refused.class)
                .hasMessage("This server sends the lights of 8 rigs already; stop one first.");
        streams.deleted(new RigDeleted(RIG));
        assertThat(streams.state(RIG)).isEmpty();
        streams.start(ninth, "Quay", look, Optional.empty());
        assertThat(streams.state(ninth)).isPresent();
    }

    @Test
    void whatIsNotThereIsNotSent() throws IOException {
        Plan plan = demo();
        assertThatThrownBy(() -> OutputPage.what(plan, "look nothing"))
                .isInstanceOf(Refused.class)
                .hasMessage("Choose a look, a chase or a song that is there.");
    }
}
