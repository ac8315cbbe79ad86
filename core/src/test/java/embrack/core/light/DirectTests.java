package embrack.core.light;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.edit.FixtureEdit;
import embrack.core.edit.LookEdit;
import embrack.core.live.LiveLight;
import embrack.core.offer.Offer;
import embrack.core.offer.Offers;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.SongId;
import embrack.core.sim.Verdict;
import embrack.core.stage.Scenery;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** A box that turns controllers into slots: two lamps of three slots each, from 1 and from 4. */
class DirectTests {

    private static final DeviceId BOX = new DeviceId("light-box");
    private static final SwitchAt FIRST = Sketch.at("board 1");

    private static Sketch rig() {
        return Sketch.of("Direct")
                .box("Board", "ten-switch-treadle-board")
                .box("Light box", "midi-to-dmx-box")
                .set("light-box", "receive-channel", "3")
                .link("board.out > light-box.in")
                .edit(new FixtureEdit.AddFixtures(new FixtureTypeId("small-par-three-colours"), "2", "Pars"))
                .edit(new LookEdit.AddLook("Storm", "pars: red and blue 100 %"))
                .edit(new LookEdit.AddLook("Calm", "Par 2: blue 50 %"));
    }

    private static Offer offer(Plan plan, String search) {
        return new Offers(plan).find(FIRST, search).getFirst();
    }

    @Test
    void aLookIsSentSlotBySlot() {
        Plan plan = rig().plan();
        Offer storm = offer(plan, "storm");
        assertThat(storm.words()).isEqualTo("Light box: show Storm, 6 slots");
        assertThat(storm.steps().stream().map(plan::words).collect(Collectors.joining("; ")))
                .isEqualTo("Light box: set level of Slot 1 to 127; Light box: set level of Slot 2 to 0; "
                        + "Light box: set level of Slot 3 to 0; Light box: set level of Slot 4 to 0; "
                        + "Light box: set level of Slot 5 to 0; Light box: set level of Slot 6 to 127");
    }

    /** What is pressed is proven level by level, and seen as the look; a look that sets less leaves nothing behind. */
    @Test
    void whatIsSentIsSeen() {
        Sketch sketch = rig();
        Plan empty = sketch.plan();
        Plan plan = sketch.plan()
                .withSwitches(empty.switches()
                        .with(empty.switches()
                                .at(FIRST)
                                .withSteps(Moment.PRESS, offer(empty, "storm").steps()))
                        .with(empty.switches()
                                .at(Sketch.at("board 2"))
                                .withSteps(Moment.PRESS, offer(empty, "calm").steps())));
        assertThat(Report.of(plan).proofs()).hasSize(2).allMatch(proof -> proof.verdict() == Verdict.EXACT);
        Engine engine = new Engine(plan);
        LiveLight light = LiveLight.of(plan, BOX).pressed(engine, FIRST, 1_000);
        assertThat(light.onstage().look(1_000)).isEqualTo(look(plan, "storm"));
        assertThat(light.pressed(engine, Sketch.at("board 2"), 2_000).onstage().look(2_000))
                .isEqualTo(look(plan, "calm"));
        Plan cued = Sketch.on(plan)
                .song("Short", "tempo 120\nAll: 12 bars")
                .cues(
                        "short",
                        "2|1 = "
                                + offer(plan, "calm").steps().stream()
                                        .map(step -> "light-box level:%s:%d"
                                                .formatted(
                                                        step.action().part(),
                                                        step.action().amount().orElseThrow()))
                                        .collect(Collectors.joining(", ")))
                .plan();
        assertThat(Scenery.of(cued, cued.book().song(new SongId("short"))))
                .singleElement()
                .satisfies(sight -> assertThat(sight.look()).isEqualTo(look(plan, "calm")));
    }

    /** Slots beyond those of the box are not half sent. */
    @Test
    void whatItDoesNotReachIsNotOffered() {
        Plan far = rig().edit(new FixtureEdit.ChangeFixture(new FixtureId("par-2"), "Par 2", "Pars", "3 slots", "63"))
                .plan();
        assertThat(new Offers(far).find(FIRST, "storm"))
                .extracting(Offer::words)
                .isEmpty();
    }

    private static Optional<Look> look(Plan plan, String id) {
        return plan.lights().look(new LookId(id));
    }
}
