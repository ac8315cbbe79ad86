package embrack.core.stage;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.LightFaults;
import embrack.core.Sketch;
import embrack.core.chart.PartId;
import embrack.core.edit.ChaseEdit;
import embrack.core.edit.LookEdit;
import embrack.core.light.Chase;
import embrack.core.light.ChaseId;
import embrack.core.light.Frame;
import embrack.core.light.Frames;
import embrack.core.light.LookId;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.AtDoors;
import embrack.core.show.SongId;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A song at 120: Look 1 on load, from bar 5 a chase of half seconds, from bar 7 dark, at 9 Look 6. */
class OnstageTests {

    private static final Sketch SKETCH = LightFaults.lit()
            .edit(new LookEdit.ChangeLook(new LookId("look-2"), "Look 2", "all: red 100 %"))
            .edit(new ChaseEdit.AddChase("Squall", "Look 2, Look 3", "0.5"))
            .edit(new ChaseEdit.ChangeChase(
                    new ChaseId("squall"),
                    "Squall",
                    "Look 2, Look 3",
                    "0.5",
                    Optional.of(new Chase.At(new DeviceId("lantern-desk"), new PartId("chase-1")))))
            .song("Short", "tempo 120\nAll: 12 bars")
            .cues(
                    "short",
                    "on load = lantern-desk recall:scene-1",
                    "5|1 = lantern-desk run:chase-1",
                    "7|1 = lantern-desk on:blackout",
                    "9|1 = lantern-desk off:blackout, lantern-desk recall:scene-6");

    private static final Plan PLAN = SKETCH.plan();
    private static final Onstage SHORT = Onstage.of(PLAN, PLAN.book().song(new SongId("short")));

    /** A bar of 4/4 at 120 lasts 2 s, so bar 5 begins at 8 s. Arithmetic. */
    @ParameterizedTest(name = "{0} ms: {1}")
    @CsvSource({
        "0, Look 1",
        "7999, Look 1",
        "8000, Look 2",
        "8499, Look 2",
        "8500, Look 3",
        "9000, Look 2",
        "11999, Look 3",
        "12000, dark",
        "15999, dark",
        "16000, Look 6",
        "60000, Look 6"
    })
    void isKnownAtAnyTime(long millis, String look) {
        assertThat(SHORT.look(millis * 1_000).map(l -> l.name().text()).orElse("dark"))
                .isEqualTo(look);
    }

    /** Par 2 reads 8 to 14: red, green, blue, then dimmer by its chart; what nobody looks at is never worked out. */
    @Test
    void isWorkedOutOnlyWhenSomebodyLooks() {
        Frames frames = new Frames(PLAN.lights());
        assertThat(frames.worked()).isZero();
        assertThat(SHORT.frame(frames, 12_000_000, 1)).isEqualTo(frames.dark(1));
        assertThat(frames.worked()).isZero();
        Frame red = SHORT.frame(frames, 8_000_000, 1);
        assertThat(SHORT.frame(frames, 9_000_000, 1)).isSameAs(red);
        assertThat(frames.worked()).isEqualTo(1);
        assertThat(frames.universes()).containsExactly(1);
        PLAN.lights().fixtures().forEach(fixture -> {
            var lamp = PLAN.lights().lamp(fixture);
            assertThat(lamp.showing(Frames.of(fixture, lamp.mode(), Map.of(1, red))))
                    .isEqualTo(PLAN.lights()
                            .shown(PLAN.lights().look(new LookId("look-2")).orElseThrow())
                            .getFirst());
        });
    }

    /** What flashes too often in tonight's songs is told to the audience at the doors. */
    @Test
    void theAudienceIsToldOfFlashes() {
        Plan plan = LightFaults.lit()
                .edit(new LookEdit.ChangeLook(new LookId("look-2"), "Look 2", "Par 1: white 100 %, flashes 9 a second"))
                .plan();
        assertThat(AtDoors.of(plan).sections())
                .last()
                .satisfies(section -> assertThat(section.toString())
                        .contains("A notice: flashing light, 9.0 times a second, whenever Look 2 is shown."));
    }

    /** A strobe in a step of a running chase is seen as well as one that a cue recalls. */
    @Test
    void theAudienceIsToldOfAStrobeInAChase() {
        Plan plan = Sketch.on(LightFaults.lit().plan())
                .edit(new LookEdit.AddLook("Storm", "Par 1: white 100 %, flashes 9 a second"))
                .edit(new ChaseEdit.AddChase("Squall", "Look 3, Storm", "0.5"))
                .edit(new ChaseEdit.ChangeChase(
                        new ChaseId("squall"),
                        "Squall",
                        "Look 3, Storm",
                        "0.5",
                        Optional.of(new Chase.At(new DeviceId("lantern-desk"), new PartId("chase-1")))))
                .cues("ebb", "9|1 = lantern-desk run:chase-1")
                .plan();
        assertThat(AtDoors.of(plan).sections())
                .last()
                .satisfies(section -> assertThat(section.toString())
                        .contains("A notice: flashing light, 9.0 times a second, whenever Storm is shown."));
    }

    /** What a song flashes while a chase runs is counted with its cues. */
    @Test
    void aRunningChaseFlashesInItsSong() {
        Plan fast = Sketch.on(PLAN)
                .edit(new LookEdit.ChangeLook(new LookId("look-3"), "Look 3", "all: dark"))
                .edit(new ChaseEdit.ChangeChase(
                        new ChaseId("squall"),
                        "Squall",
                        "Look 2, Look 3",
                        "0.1",
                        PLAN.lights().chases().getFirst().at()))
                .plan();
        var song = fast.book().song(new SongId("short"));
        assertThat(Flashes.of(fast.lights(), Scenery.of(fast, song), song.lengthMicros()))
                .hasValueSatisfying(flashes -> {
                    assertThat(flashes.rate()).isEqualTo(5.0);
                    assertThat(flashes.fromMicros()).isBetween(8_000_000L, 8_300_000L);
                    assertThat(flashes.toMicros()).isBetween(11_800_000L, 12_000_000L);
                });
    }
}
