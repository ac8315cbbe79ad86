package embrack.core.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embrack.core.LightFaults;
import embrack.core.Sketch;
import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.edit.ChaseEdit;
import embrack.core.edit.DeskEdit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.LookEdit;
import embrack.core.gear.Kind;
import embrack.core.gear.ModelId;
import embrack.core.gear.text.BoxReading;
import embrack.core.light.Chase;
import embrack.core.light.ChaseId;
import embrack.core.light.LookId;
import embrack.core.light.Pace;
import embrack.core.midi.Channel;
import embrack.core.midi.Decoder;
import embrack.core.midi.RealTime;
import embrack.core.music.Tempo;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.SongId;
import embrack.core.stage.Onstage;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The light of a desk of the evening, as messages come to it. */
class LiveLightTests {

    private static final DeviceId DESK = new DeviceId("lantern-desk");
    private static final Plan PLAN = squall(LightFaults.lit(), "chase-1").plan();

    private static Sketch squall(Sketch sketch, String part) {
        return sketch.edit(new ChaseEdit.AddChase("Squall", "Look 2, Look 3", "1 beat"))
                .edit(new ChaseEdit.ChangeChase(
                        new ChaseId("squall"),
                        "Squall",
                        "Look 2, Look 3",
                        "1 beat",
                        Optional.of(new Chase.At(DESK, new PartId(part)))));
    }

    /** What is told to it, one after the other, a second apart. */
    private static LiveLight told(Plan plan, String actions) {
        Engine engine = new Engine(plan);
        LiveLight light = LiveLight.of(plan, DESK);
        long micros = 1_000_000;
        for (String action : actions.split(", ")) {
            String[] said = action.split(" ");
            for (var message : plan.rig()
                    .model(DESK)
                    .messagesFor(new Action(Verb.parse(said[0]), new PartId(said[1])), new Channel(3))
                    .orElseThrow()) {
                light = light.heard(engine, message, micros);
            }
            micros += 1_000_000;
        }
        return light;
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            recall scene-1                                      | Look 1
            recall scene-1, recall scene-4                      | Look 4
            recall scene-1, on blackout                         | dark
            recall scene-1, on blackout, recall scene-2         | dark
            recall scene-1, on blackout, off blackout           | Look 1
            recall scene-9                                      | dark
            run chase-1                                         | Look 2
            recall scene-6, run chase-1, recall scene-6         | Look 6
            """)
    void showsWhatItWasToldLast(String actions, String look) {
        LiveLight light = told(PLAN, actions);
        assertThat(light.onstage().look(actions.split(", ").length * 1_000_000L))
                .map(shown -> shown.name().text())
                .isEqualTo(Optional.of(look).filter(name -> !name.equals("dark")));
        assertThat(light.told()).hasSize(actions.split(", ").length);
    }

    /** A scene is recalled in the bank that was chosen last; a bank by itself changes nothing that is seen. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            on scene-5                                          | Look 5
            recall bank-2, on scene-5                           | Look 6
            on scene-5, recall bank-2                           | Look 5
            on scene-5, recall bank-2, on scene-5               | Look 6
            """)
    void looksLieInBanks(String actions, String look) {
        Plan banked = LightFaults.banked(LightFaults.lit()).plan();
        assertThat(told(banked, actions).light().sight().look().orElseThrow().name())
                .hasToString(look);
    }

    /** Notes 0 to 5 run chases, 6 to 13 show scenes, 44 is auto run, without which chases stand still, 46 blackout. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            6, 0           | Look 1
            6, 0, 44       | Look 2
            44, 0          | Look 2
            6, 44, 0, 44   | Look 1
            6, 44, 0, 0    | Look 1
            6, 6           | dark
            6, 7           | Look 2
            6, 7, 7        | dark
            6, 46          | dark
            6, 46, 46      | Look 1
            """)
    void aDeskThatTogglesIsFollowed(String notes, String look) {
        Sketch sketch =
                Sketch.of("Chases").box("Lantern desk", "scene-desk").set("lantern-desk", "receive-channel", "3");
        List.of("Look 1", "Look 2", "Look 3").forEach(name -> sketch.edit(new LookEdit.AddLook(name, "all: white")));
        Plan plan =
                squall(sketch.edit(new DeskEdit.StoreLooks(DESK)), "chase-1").plan();
        Engine engine = new Engine(plan);
        LiveLight light = LiveLight.of(plan, DESK);
        long micros = 0;
        for (String note : notes.split(", ")) {
            micros += 1_000;
            light = light.heard(engine, Decoder.message(0x92, Integer.parseInt(note), 127), micros);
        }
        assertThat(light.onstage().look(micros).map(shown -> shown.name().text()))
                .isEqualTo(Optional.of(look).filter(name -> !name.equals("dark")));
    }

    /** 24 clocks a quarter: at 96 a minute one comes each 60 / 96 / 24 s = 26 041.7 µs (MIDI 1.0, timing clock). */
    @Test
    void aChaseGoesAtTheTempoOfTheClock() {
        Engine engine = new Engine(PLAN);
        LiveLight light = told(PLAN, "run chase-1");
        long micros = 1_000_000;
        for (int clock = 0; clock < 48; clock++) {
            micros = 1_000_000 + Math.round(clock * 60e6 / 96 / 24);
            light = light.heard(engine, RealTime.CLOCK, micros);
        }
        assertThat(light.tempo().orElseThrow().bpm()).isCloseTo(96, within(0.01));
        Onstage onstage = light.onstage();
        long first = stepAfter(onstage, micros);
        assertThat(stepAfter(onstage, first) - first).isCloseTo(625_000L, within(100L));
        for (int clock = 1; clock <= 48; clock++) {
            light = light.heard(engine, RealTime.CLOCK, micros + Math.round(clock * 60e6 / 48 / 24));
        }
        assertThat(light.tempo().orElseThrow().bpm()).isCloseTo(48, within(0.01));
        assertThat(light.sights()).as("a tempo is no other sight").hasSize(1);
        long slow = stepAfter(light.onstage(), micros + 2_500_000);
        assertThat(stepAfter(light.onstage(), slow) - slow).isCloseTo(1_250_000L, within(100L));
    }

    /** When the next step begins after a time, to the microsecond. */
    private static long stepAfter(Onstage onstage, long micros) {
        var now = onstage.look(micros);
        long low = micros;
        long high = micros;
        while (onstage.look(high).equals(now)) {
            low = high;
            high += 10_000;
        }
        while (high - low > 1) {
            long middle = (low + high) / 2;
            low = onstage.look(middle).equals(now) ? middle : low;
            high = onstage.look(middle).equals(now) ? high : middle;
        }
        return high;
    }

    /** Against what the cues of a song show by themselves: the same messages, sent by hand at the same times. */
    @Test
    void showsWhatTheCuesOfASongShow() {
        Plan plan = Sketch.on(PLAN)
                .song("Short", "tempo 120\nAll: 12 bars")
                .cues(
                        "short",
                        "1|1 = lantern-desk recall:scene-1",
                        "2|1 = lantern-desk run:chase-1",
                        "3|1 = lantern-desk on:blackout",
                        "4|1 = lantern-desk off:blackout, lantern-desk recall:scene-6")
                .plan();
        Engine engine = new Engine(plan);
        LiveLight light = LiveLight.of(plan, DESK);
        var song = plan.book().song(new SongId("short"));
        for (var cue : song.cues()) {
            long micros = cue.at().micros(song.form()).orElseThrow();
            for (var step : cue.steps()) {
                for (var message : plan.rig()
                        .model(DESK)
                        .messagesFor(step.action(), new Channel(3))
                        .orElseThrow()) {
                    light = light.heard(engine, message, micros);
                }
            }
        }
        Onstage bySong = Onstage.of(plan, song);
        for (long micros = 0; micros < 10_000_000; micros += 125_000) {
            assertThat(light.onstage().look(micros)).as("at " + micros).isEqualTo(bySong.look(micros));
        }
    }

    /** What is told late, since a browser kept it, does not come before what is seen already. */
    @Test
    void timeNeverGoesBack() {
        Engine engine = new Engine(PLAN);
        LiveLight light = told(PLAN, "recall scene-1");
        LiveLight late = light.heard(engine, Decoder.message(0x92, 37, 127), 500_000);
        LiveLight clocked = told(PLAN, "recall scene-1, run chase-1");
        for (long clock = 0; clock <= 24; clock++) {
            clocked = clocked.heard(engine, RealTime.CLOCK, 1_000_000 + clock * 20_000);
        }
        assertThat(clocked.tempo()).isPresent();
        assertThat(clocked.sights()).extracting(sight -> sight.micros()).containsExactly(1_000_000L, 2_000_000L);
        assertThat(late.sights()).extracting(sight -> sight.micros()).isSorted();
        assertThat(late.onstage().look(1_000_000)).isEqualTo(PLAN.lights().look(new LookId("look-2")));
    }

    /** A tap comes each half second: 120 a minute; a chase that is tapped takes a step with each. */
    @Test
    void aChaseGoesAsItIsTapped() {
        Sketch sketch = Sketch.of("Taps")
                .edit(new GearEdit.AddDevice(
                        "Lantern desk",
                        BoxReading.of("port MIDI IN: 5-pin in\nsetting MIDI receive channel: 1..16, factory 3\n"
                                        + "power: a supply of its own, 100 mA\n")
                                .box()
                                .orElseThrow()
                                .model(
                                        new ModelId("tap-desk"),
                                        new TapeLabel("Tap desk"),
                                        Kind.LIGHT_DESK,
                                        Chart.of("recall Scene 1..4: note 0..3\nrun Chase 1..2: note 10..11\n"
                                                + "tap Speed: note 20\n"),
                                        Chart.EMPTY)));
        List.of("Look 1", "Look 2", "Look 3").forEach(name -> sketch.edit(new LookEdit.AddLook(name, "all: white")));
        Plan plan = squall(sketch.edit(new DeskEdit.StoreLooks(DESK)), "chase-1")
                .edit(new ChaseEdit.ChangePace(new ChaseId("squall"), new Pace.Tapped(2_000)))
                .plan();
        Engine engine = new Engine(plan);
        LiveLight light = LiveLight.of(plan, DESK).heard(engine, Decoder.message(0x92, 10, 127), 0);
        for (long tap = 1; tap <= 4; tap++) {
            light = light.heard(engine, Decoder.message(0x92, 20, 127), tap * 500_000);
        }
        assertThat(light.tempo()).hasValue(new Tempo(120_000));
        long step = stepAfter(light.onstage(), 2_100_000);
        assertThat(stepAfter(light.onstage(), step) - step).isEqualTo(500_000);
    }

    @Test
    void aSwitchOfTheRigIsHeardOverItsCables() {
        LiveLight light = LiveLight.of(PLAN, DESK)
                .pressed(new Engine(PLAN), new SwitchAt(new DeviceId("foot-board"), 1, 4), 5_000);
        assertThat(light.light().sight().look()).isEqualTo(PLAN.lights().look(new LookId("look-5")));
        assertThat(light.light().sight().micros()).isEqualTo(5_000);
    }
}
