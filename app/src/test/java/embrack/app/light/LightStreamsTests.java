package embrack.app.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.app.store.RigDeleted;
import embrack.app.store.RigId;
import embrack.core.edit.Refused;
import embrack.core.plan.Plan;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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

    /** Bytes go out over loopback, are read by the standard, and are what is meant; a song ends by itself. */
    @Test
    void whatIsMeantIsHeard() throws IOException, InterruptedException {
        LightStreams.What look = OutputPage.what(demo(), "look harbour");
        streams.start(RIG, "Quay", look, Optional.empty());
        SimulatedReceiver.Heard heard = heard(3);
        assertThat(heard.source()).isEqualTo("Embrack, Quay");
        assertThat(heard.lost()).isZero();
        assertThat(heard.frames()).isEqualTo(streams.state(RIG).orElseThrow().meant());
        LightStreams.What brief = new LightStreams.What("song x", "x", look.onstage(), Optional.of(50_000L));
        streams.start(RIG, "Quay", brief, Optional.empty());
        while (!streams.state(RIG).orElseThrow().heard().orElseThrow().hasEnded()) {
            Thread.sleep(5);
        }
        assertThat(streams.state(RIG).orElseThrow().hasEnded()).isTrue();
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
