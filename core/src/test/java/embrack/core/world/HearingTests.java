package embrack.core.world;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.chart.Action;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import org.junit.jupiter.api.Test;

class HearingTests {

    private static final DeviceId TRACKS = new DeviceId("tracks");
    private static final Sketch PLAYER =
            Sketch.of("Player").box("Computer", "computer").app("Tracks", "linear-timeline-player", "computer");

    @Test
    void whatArrivesAtAnInputThatIsOffDoesNothingAndSaysWhichInput() {
        Message play = PLAYER.rig()
                .model(TRACKS)
                .messagesFor(Action.parse("play:tracks"), new Channel(1))
                .orElseThrow()
                .getLast();
        assertThat(Hearing.of(PLAYER.rig(), TRACKS).reading(TRACKS, play, World.poweredOn(PLAYER.rig()), 0))
                .isEqualTo(new Reading.InputOff("Input for remote"));
        Sketch on = Sketch.on(PLAYER.plan()).set("tracks", "input-for-remote", "on");
        assertThat(Hearing.of(on.rig(), TRACKS).reading(TRACKS, play, World.poweredOn(PLAYER.rig()), 0))
                .isInstanceOf(Reading.Acts.class);
        assertThat(Hearing.of(PLAYER.rig(), TRACKS)
                        .reading(
                                TRACKS, new Message.ProgramChange(new Channel(3), 5), World.poweredOn(PLAYER.rig()), 0))
                .isEqualTo(new Reading.MeansNothing());
    }
}
