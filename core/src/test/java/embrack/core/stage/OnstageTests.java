package embrack.core.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

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
import embrack.core.light.Use;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.AtDoors;
import embrack.core.show.SongId;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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

    /** Look 6 comes in over 2 s from 16 s on, out of the dark: a number goes over evenly, a choice at once. */
    @ParameterizedTest
    @CsvSource({"16000, 0", "16500, 0.25", "17000, 0.5", "18000, 1", "20000, 1"})
    void aLookComesInSlowly(long millis, double part) {
        Plan slow = Sketch.on(PLAN)
                .edit(new LookEdit.ChangeLook(new LookId("look-6"), "Look 6", "all: amber 80 %\nfade: 2 s"))
                .plan();
        Frames frames = new Frames(slow.lights());
        Frame shown = Onstage.of(slow, slow.book().song(new SongId("short"))).frame(frames, millis * 1_000, 1);
        Frame full = frames.of(slow.lights().look(new LookId("look-6")).orElseThrow(), 1);
        slow.lights().fixtures().forEach(fixture -> {
            var mode = slow.lights().lamp(fixture).mode();
            int start = fixture.at().orElseThrow().start();
            for (int slot = 0; slot < mode.footprint(); slot++) {
                boolean isChoice = Set.of(Use.STROBE, Use.COLOURS)
                        .contains(mode.slots().get(slot).use());
                assertThat((double) shown.at(start + slot))
                        .isCloseTo(full.at(start + slot) * (isChoice ? 1 : part), within(0.5));
            }
        });
    }

    /** Look 6 is begun at bar 9, at 16 s; 2.6 s later is 0.1 s after the second beat of bar 10, at 18.5 s. */
    @ParameterizedTest
    @CsvSource({
        "2 s, bar 10, 0",
        "2.6 s, bar 10 beat 2, 100000",
        "1.4 s, bar 9 beat 4, -100000",
        "4 beats at 120, bar 10, 0"
    })
    void aFadeLiesBesideTheBeat(String fade, String near, long micros) {
        Plan slow = Sketch.on(PLAN)
                .edit(new LookEdit.ChangeLook(new LookId("look-6"), "Look 6", "all: amber 80 %\nfade: " + fade))
                .plan();
        assertThat(Coming.of(slow, slow.lights().look(new LookId("look-6")).orElseThrow()))
                .filteredOn(coming -> coming.song().id().equals(new SongId("short")))
                .singleElement()
                .satisfies(coming -> {
                    var tempos = coming.song().form().tempoMap();
                    assertThat(tempos.text(coming.from())).isEqualTo("bar 9");
                    assertThat(tempos.text(coming.near())).isEqualTo(near);
                    assertThat(coming.micros()).isEqualTo(micros);
                });
    }

    /** Half a beat lasts 0.25 s at 120 and 0.5 s at 60; the chase goes along, and is told to be in step. */
    @ParameterizedTest
    @CsvSource({
        "8000, Look 2",
        "8249, Look 2",
        "8250, Look 3",
        "8500, Look 2",
        "12000, Look 2",
        "12499, Look 2",
        "12500, Look 3"
    })
    void aChaseGoesWithTheBeat(long millis, String look) {
        Chase squall = PLAN.lights().chases().getFirst();
        Plan beaten = Sketch.on(PLAN)
                .edit(new ChaseEdit.ChangeChase(squall.id(), "Squall", "Look 2, Look 3", "1/2 beat", squall.at()))
                .song("Slowing", "tempo 120\nFirst: 6 bars\ntempo 60\nThen: 6 bars")
                .cues("slowing", "5|1 = lantern-desk run:chase-1")
                .plan();
        Onstage slowing = Onstage.of(beaten, beaten.book().song(new SongId("slowing")));
        assertThat(slowing.look(millis * 1_000).orElseThrow().name()).hasToString(look);
        assertThat(Scenery.byStep(beaten.lights(), slowing.sights(), 14_000_000))
                .as("eight halves of beats a bar, two bars at 120, one of the first two seconds at 60")
                .hasSize(16 + 4);
        assertThat(Beside.of(beaten, beaten.lights().chases().getFirst())).isEmpty();
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
        Plan plan = squallInEbb("Par 1: white 100 %, flashes 9 a second", "0.5");
        assertThat(AtDoors.of(plan).sections())
                .last()
                .satisfies(section -> assertThat(section.toString())
                        .contains("A notice: flashing light, 9.0 times a second, whenever Storm is shown."));
    }

    /** Nobody knows how fast a chase goes that hears the room, so the audience is told that. */
    @Test
    void theAudienceIsToldOfAChaseThatHearsTheRoom() {
        Plan plan = squallInEbb("Par 1: white 100 %", "by sound");
        assertThat(AtDoors.of(plan).sections())
                .last()
                .satisfies(section -> assertThat(section.toString())
                        .contains("A notice: flashing light, as fast as the music, whenever Squall runs."));
    }

    /** The evening with a chase in Ebb, whose second look is Storm. */
    private static Plan squallInEbb(String storm, String pace) {
        return Sketch.on(LightFaults.lit().plan())
                .edit(new LookEdit.AddLook("Storm", storm))
                .edit(new ChaseEdit.AddChase("Squall", "Look 3, Storm", pace))
                .edit(new ChaseEdit.ChangeChase(
                        new ChaseId("squall"),
                        "Squall",
                        "Look 3, Storm",
                        pace,
                        Optional.of(new Chase.At(new DeviceId("lantern-desk"), new PartId("chase-1")))))
                .cues("ebb", "9|1 = lantern-desk run:chase-1")
                .plan();
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
