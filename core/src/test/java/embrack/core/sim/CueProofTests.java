package embrack.core.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.chart.Chart;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Told;
import embrack.core.edit.CueEdit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.SongEdit;
import embrack.core.gear.Kind;
import embrack.core.gear.ModelId;
import embrack.core.gear.text.BoxReading;
import embrack.core.midi.Wire;
import embrack.core.music.Clock;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.CueAt;
import embrack.core.show.SongId;
import embrack.core.world.Happened;
import embrack.core.world.Reading;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CueProofTests {

    private static final SongId EBB = new SongId("ebb");

    private static BookProof prove(Plan plan) {
        return new BookProver(plan.rig()).prove(plan);
    }

    private static CueProof last(Sketch sketch) {
        return prove(sketch.plan()).song(EBB).orElseThrow().cues().getLast();
    }

    @ParameterizedTest
    @CsvSource({
        "lantern-desk recall:scene-2, exact, 92 25 7F",
        "guitar-sounds select:patch-9, exact, C4 08",
        "vocal-mixer level:input-2:90, exact, B1 0B 5A",
        "player on:loop, exact, ''",
        "'player on:loop, old-desk toggle:scene-1', exact, 93 06 7F",
        "player fade-out:tracks, exact, ''",
        "old-desk toggle:scene-1, exact, 93 06 7F",
        "old-desk toggle:chase-1, exact, 93 00 7F",
        "foot-board level:main:3, cannot get there, ''"
    })
    void aCueIsCompiledAndProvenAsASwitchIs(String step, String verdict, String bytes) {
        CueProof proof = last(Evening.sketch().cues("ebb", "5|1 = " + step));
        assertThat(proof.verdict().words()).isEqualTo(verdict);
        assertThat(proof.messages().stream().map(m -> m.hex()).toList())
                .isEqualTo(bytes.isEmpty() ? List.of() : List.of(bytes));
    }

    /** What a player does at itself comes about too where a box reads what it is sent by what came before. */
    @Test
    void aStepAtThePlayerStandsBesideABoxThatRemembers() {
        Sketch sketch = Evening.sketch();
        sketch.edit(new GearEdit.RemoveDevice(new DeviceId("vocal-mixer"), true))
                .edit(new GearEdit.AddDevice(
                        "Strings",
                        BoxReading.of("port MIDI IN: 5-pin in\nsetting MIDI receive channel: 1..16, factory 6")
                                .box()
                                .orElseThrow()
                                .model(
                                        new ModelId("strings"),
                                        new TapeLabel("Strings"),
                                        Kind.SOUND_SWITCHER,
                                        Chart.of("programs from 1\nselect Patch 1..3: cc 0 = 1 + pc 1..3"),
                                        Chart.EMPTY)))
                .link("thru-box.thru-3 > strings.in")
                .cues("ebb", "5|1 = player on:loop, strings select:patch-2");
        assertThat(last(sketch).verdict()).isEqualTo(Verdict.EXACT);
    }

    /** Two receivers on one channel: the second moves too. */
    @Test
    void whatElseMovesIsFound() {
        Sketch sketch = Evening.sketch()
                .set("vocal-mixer", "receive-channel", "4")
                .cues("ebb", "5|1 = old-desk toggle:auto-run");
        CueProof proof = last(sketch);
        assertThat(proof.verdict()).isEqualTo(Verdict.ALSO);
        assertThat(proof.wrongPlaces())
                .extracting(place -> place.device() + " " + place.part())
                .containsExactly("vocal-mixer return-1");
        assertThat(Report.of(sketch.plan()).findings())
                .extracting(Finding::code)
                .containsExactly("songs.left-behind", "switches.also-moves");
    }

    /**
     * A table of what a way costs: 960 microseconds of a note twice (interface, merger), two buffers of 128 at 48 kHz
     * and a USB frame at worst, a DMX frame of 22.676 ms (ANSI E1.11).
     */
    @Test
    void aCueTakesTheTimeOfItsWay() {
        CueProof light = last(Evening.sketch().cues("ebb", "5|1 = lantern-desk recall:scene-2"));
        CueProof sound = last(Evening.sketch().cues("ebb", "5|1 = guitar-sounds select:patch-2"));
        assertThat(light.worstMicros() - sound.worstMicros()).isEqualTo(22_676 + 2 * (Wire.micros(3) - Wire.micros(2)));
        assertThat(light.worstMicros()).isGreaterThan(light.usualMicros());
        assertThat(light.leadMicros()).isZero();
        assertThat(light.sentMicros()).isEqualTo(light.micros());
    }

    @Test
    void aCueThatIsSentEarlyIsAheadByWhatItsWayUsuallyTakesAndNeverBeforeTheSong() {
        Plan plan = Evening.sketch()
                .cues("ebb", "5|1 = lantern-desk recall:scene-2", "1|1 = lantern-desk recall:scene-3")
                .plan();
        Plan early = new CueEdit.SendEarly(EBB, 6, true).apply(new CueEdit.SendEarly(EBB, 5, true).apply(plan));
        SongProof proof = prove(early).song(EBB).orElseThrow();
        CueProof five = proof.cue(5).orElseThrow();
        assertThat(five.leadMicros()).isEqualTo(five.usualMicros()).isLessThan(BookProver.MAX_LEAD_MICROS);
        assertThat(five.sentMicros().orElseThrow()).isEqualTo(8_000_000 - five.leadMicros());
        assertThat(proof.cue(6).orElseThrow().leadMicros()).isZero();
        Plan trimmed = new SongEdit.DescribeSong(EBB, "Ebb", "G", "G", "", "0:07.995", "", "1", "", "").apply(early);
        assertThat(prove(trimmed).song(EBB).orElseThrow().cue(5).orElseThrow().leadMicros())
                .isEqualTo(5_000);
    }

    /** Behind eight levels a light comes late; sent early it is in time again, and the finding's button does that. */
    @Test
    void aLateCueIsMendedBySendingItEarly() {
        List<String> steps = new ArrayList<>();
        for (int strip = 1; strip <= 8; strip++) {
            steps.add("vocal-mixer level:input-%d:90".formatted(strip));
        }
        Plan late = Evening.sketch()
                .cues(
                        "ebb",
                        "5|1 = %s, lantern-desk recall:scene-2".formatted(String.join(", ", steps)),
                        "on play = %s, lantern-desk recall:scene-2".formatted(String.join(", ", steps)))
                .plan();
        List<Finding> found = Report.of(late).findings().stream()
                .filter(f -> f.code().equals("songs.late"))
                .toList();
        assertThat(found).extracting(f -> Told.of(f, late).where()).containsExactly("Ebb, bar 5", "Ebb, on play");
        assertThat(Report.of(late).healing().of(found.getLast()))
                .as("what comes on play cannot come earlier")
                .isEmpty();
        Plan mended = Report.of(late)
                .healing()
                .best(found.getFirst())
                .orElseThrow()
                .edit()
                .apply(late);
        assertThat(Report.of(mended).findings(EBB)).noneMatch(f -> f.cues().contains(new CueAt(EBB, 5)));
        assertThat(prove(mended).song(EBB).orElseThrow().cue(5).orElseThrow().verdict())
                .isEqualTo(Verdict.EXACT);
    }

    /**
     * MIDI 1.0: a program change is 640 microseconds. Ten of them leave an interface in 6.4 ms; the last waits for
     * nine.
     */
    @Test
    void tenAtOneInstantQueueBehindEachOther() {
        List<String> steps = new ArrayList<>();
        for (int patch = 1; patch <= 10; patch++) {
            steps.add("guitar-sounds select:patch-" + patch);
        }
        Plan plan = Evening.sketch()
                .cues("ebb", "9|1 = " + String.join(", ", steps))
                .plan();
        SongProof proof = prove(plan).song(EBB).orElseThrow();
        Queue queue = proof.queues().getLast();
        assertThat(queue.messages()).isEqualTo(10);
        assertThat(queue.waitMicros()).isEqualTo(Wire.micros(2 * 9));
        assertThat(queue.waitMicros() + Wire.micros(2)).isEqualTo(6_400);
        assertThat(queue.micros()).isEqualTo(16_000_000);
    }

    /** Two cues of one instant wait for each other as two steps of one cue do; 60 ms apart they do not. */
    @Test
    void cuesOfOneInstantShareTheCable() {
        Plan together = Evening.sketch()
                .cues("ebb", "9|1 = lantern-desk recall:scene-2", "9|1 = guitar-sounds select:patch-2")
                .plan();
        assertThat(prove(together).song(EBB).orElseThrow().queues())
                .extracting(Queue::cues)
                .containsExactly(List.of(5, 6));
        Plan apart = Evening.sketch()
                .cues("ebb", "9|1 = lantern-desk recall:scene-2", "0:16.060 = guitar-sounds select:patch-2")
                .plan();
        assertThat(prove(apart).song(EBB).orElseThrow().queues()).isEmpty();
    }

    @Test
    void aSongWithoutAPlayerIsSentByNobody() {
        Plan plan = new GearEdit.RemoveDevice(new DeviceId("player"), true).apply(Evening.plan());
        assertThat(prove(plan).songs())
                .allMatch(song -> song.player().isEmpty() && song.cues().isEmpty());
        assertThat(Report.of(plan).findings()).extracting(Finding::code).contains("songs.no-player");
        assertThat(plan.book().songs()).flatExtracting(song -> song.cues()).isNotEmpty();
    }

    /** A box that goes takes its steps along, and cues that are then empty. */
    @Test
    void aBoxThatGoesTakesItsStepsAlong() {
        Plan plan = new GearEdit.RemoveDevice(new DeviceId("lantern-desk"), true).apply(Evening.plan());
        assertThat(plan.book().cues())
                .noneMatch(cue -> cue.uses(new DeviceId("lantern-desk")))
                .noneMatch(cue -> cue.isEmpty());
        assertThat(plan.book().song(EBB).cues()).extracting(cue -> cue.number()).containsExactly(1, 3, 4);
        assertThat(GearEdit.RemoveDevice.goesWith(Evening.plan(), new DeviceId("lantern-desk")))
                .contains("7 cues");
    }

    /**
     * Swapping the desk for another of its kind: cues are compiled anew, what cannot be done is told once for all cues.
     */
    @Test
    void otherHardwareRecompilesEveryCue() {
        Plan plan = new GearEdit.SwapHardware(
                        new DeviceId("lantern-desk"), Evening.rig().rig().model(new DeviceId("old-desk")))
                .apply(Evening.plan());
        List<Finding> found = Report.of(plan).findings().stream()
                .filter(f -> f.code().equals("switches.no-chart-line"))
                .toList();
        assertThat(found).hasSize(1);
        assertThat(Told.of(found.getFirst(), plan).what()).startsWith("Lantern desk has no message for: ");
        assertThat(found.getFirst().cues()).hasSize(7);
    }

    @Test
    void aProverKnowsOneRig() {
        BookProver prover = new BookProver(Evening.plan().rig());
        Plan other =
                Evening.sketch().set("lantern-desk", "receive-channel", "9").plan();
        assertThat(prover.fits(other)).isFalse();
        assertThatIllegalArgumentException().isThrownBy(() -> prover.prove(other));
    }

    /** What is remembered never shows: after any row of edits the prover says what a new one says. */
    @Test
    void rememberingChangesNothing() {
        Plan plan = Evening.plan();
        BookProver remembering = new BookProver(plan.rig());
        List<CueEdit> edits = List.of(
                new CueEdit.MoveCues(EBB, List.of(2), 480, 0),
                new CueEdit.SendEarly(EBB, 2, true),
                new CueEdit.RemoveCues(EBB, List.of(3)),
                new CueEdit.PlaceCue(EBB, 2, "0:20.020"),
                new CueEdit.AddToCue(EBB, 2, List.of(Sketch.stepOf("guitar-sounds select:patch-4"))),
                new CueEdit.SendEarly(EBB, 2, false));
        for (CueEdit edit : edits) {
            plan = edit.apply(plan);
            assertThat(remembering.prove(plan)).as(edit.toString()).isEqualTo(prove(plan));
            assertThat(remembering.prove(plan).song(EBB).orElseThrow().cues())
                    .extracting(cue -> cue.micros().map(Clock::text))
                    .isNotEmpty();
        }
    }

    /** The same step by a foot and by a cue does the same to the rig. */
    @Test
    void aFootAndACueDoTheSame() {
        for (String step : List.of(
                "lantern-desk recall:scene-5", "guitar-sounds select:patch-12", "vocal-mixer toggle-mute:input-3")) {
            Plan plan = Evening.sketch()
                    .step("foot-board 6: " + step)
                    .cues("ebb", "5|1 = " + step)
                    .plan();
            Proof foot = new Prover(plan)
                    .prove(plan.switches().at(Sketch.at("foot-board 6")))
                    .getFirst();
            CueProof cue = prove(plan).song(EBB).orElseThrow().cues().getLast();
            assertThat(cue.targets()).isEqualTo(foot.targets());
            assertThat(acts(cue.trace())).isEqualTo(acts(foot.trace()));
        }
    }

    private static List<String> acts(List<Happened> trace) {
        return trace.stream()
                .flatMap(event ->
                        event instanceof Happened.Arrived arrived && arrived.reading() instanceof Reading.Acts acts
                                ? Stream.of(arrived.socket().device() + " " + acts.actions())
                                : Stream.empty())
                .toList();
    }
}
