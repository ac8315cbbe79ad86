package embrack.core.place;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MappingFaults;
import embrack.core.Sketch;
import embrack.core.offer.SpareSwitch;
import embrack.core.plan.Plan;
import embrack.core.switches.Duty;
import embrack.core.word.Wording;
import org.junit.jupiter.api.Test;

class SurroundingsTests {

    private static final Plan TRACKS = MappingFaults.tracks()
            .step("foot-board 4: tracks stop:tracks", "foot-board 6: vocal-mixer mute:main")
            .plan();

    @Test
    void aMissIsSimulatedOnEitherSide() {
        Surroundings around = Surroundings.of(TRACKS, Sketch.at("foot-board 5"));
        assertThat(around.misses())
                .extracting(miss -> new Wording(TRACKS.rig()).say(miss.phrase()))
                .containsExactly("A toe too far left: Tracks: Tracks stopped.");
        assertThat(around.misses().getFirst().hurts()).isTrue();
        assertThat(around.toKill())
                .contains("The kill switch is 2 switches to the left, 1 row back: the same foot can reach it "
                        + "by mistake.");
        Surroundings two = Surroundings.of(TRACKS, Sketch.at("foot-board 3"));
        assertThat(two.misses())
                .extracting(miss -> new Wording(TRACKS.rig()).say(miss.phrase()))
                .as("what is stopped already cannot be stopped")
                .containsExactly("A toe too far left: nothing happens.", "A toe too far right: nothing happens.");
        assertThat(Surroundings.of(TRACKS, Sketch.at("foot-board 7")).misses())
                .extracting(miss -> new Wording(TRACKS.rig()).say(miss.phrase()))
                .containsExactly(
                        "A toe too far left: Vocal mixer: Main muted.", "A toe too far right: nothing happens.");
        assertThat(Surroundings.of(TRACKS, Sketch.at("foot-board 6")).misses())
                .as("a row ends here")
                .hasSize(1);
    }

    @Test
    void theKillSwitchStopsAllThatPlaysAndSafeIsWhatTheChartsSay() {
        Plan both = MappingFaults.loops().plan();
        assertThat(new Safety(both).stops()).containsExactly(Sketch.stepOf("loop-table stop-all:tracks"));
        assertThat(new Safety(TRACKS).safe()).containsExactly(Sketch.stepOf("tracks stop:tracks"));
        assertThat(new Safety(MappingFaults.floor().plan()).isNeeded())
                .as("nothing plays on by itself")
                .isFalse();
        assertThat(new Safety(TRACKS).isGo(TRACKS.switches().at(Sketch.at("foot-board 5"))))
                .isTrue();
        assertThat(TRACKS.switches().at(Sketch.at("foot-board 8")).isFor(Duty.KILL))
                .isTrue();
    }

    @Test
    void aSpareSwitchIsFoundNearAndFar() {
        assertThat(SpareSwitch.near(TRACKS, Sketch.at("foot-board 1"))).contains(Sketch.at("foot-board 3"));
        assertThat(SpareSwitch.farFrom(TRACKS, Sketch.at("foot-board 5"))).contains(Sketch.at("foot-board 3"));
        assertThat(SpareSwitch.distance(
                        TRACKS.board(Sketch.at("foot-board 1")), Sketch.at("foot-board 1"), Sketch.at("foot-board 10")))
                .isEqualTo(4);
    }
}
