package embrack.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.StoryRig;
import embrack.core.chart.ChartReading;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.edit.HandEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.MakeSafe;
import embrack.core.sim.Proof;
import embrack.core.sim.Rehearsal;
import embrack.core.sim.Tread;
import embrack.core.sim.Verdict;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import embrack.core.world.Engine;
import embrack.core.world.World;
import java.math.BigInteger;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Faults that only some order of presses shows, each beside a twin that has none. */
class StoryTests {

    /**
     * Steps of switches ("1: toggle:chase-1; 2 hold: ..."), modes of switches ("1 alternating"), the switch that is
     * asked about, what is said of it, and the story.
     */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            another turned it | LIGHTS | 1: on:chase-1 + toggle:auto; 2: on:chase-2 + toggle:auto | | 2 | PART | 1 2
            its twin: one turns it, once | LIGHTS | 1: on:haze; 2: off:haze |  | 2 | EXACT |
            a state by a toggle | LIGHTS | 1: on:auto |  | 1 | EVERY_OTHER | 1 1
            its twin turns round | LIGHTS | 1: toggle:auto |  | 1 | EXACT |
            two share a toggle | LIGHTS | 1: on:auto; 2: on:auto |  | 2 | EVERY_OTHER | 1 2
            its twin: both turn round | LIGHTS | 1: toggle:auto; 2: toggle:auto |  | 2 | EXACT |
            a stop that alternates | LOOPS | 1: stop-all:tracks | 1 alternating | 1 | EVERY_OTHER | 1 hand 1
            its twin is one-shot | LOOPS | 1: stop-all:tracks |  | 1 | EXACT |
            started by another | LOOPS | 1: stop-all:tracks; 2: play:track-1 | 1 alternating | 1 | EVERY_OTHER | 1 2 1
            its twin is one-shot too | LOOPS | 1: stop-all:tracks; 2: play:track-1 |  | 1 | EXACT |
            momentary stops what it plays | HALF | 1: play:track-1 | 1 momentary | 1 | WRONG | 1 up1
            its twin plays on | HALF | 1: play:track-1 |  | 1 | EXACT |
            left playing, stopped by a toggle | REEL | 1: stop:reel |  | 1 | EVERY_OTHER | 1
            its twin stops it as it is | KEEPS | 1: stop:track-1 |  | 1 | EXACT |
            set by hand as well | HANDS | 1: on:lamp; 1 again: off:lamp | 1 alternating | 1 | EVERY_OTHER | hand 1
            its twin nobody touches | LAMP | 1: on:lamp; 1 again: off:lamp | 1 alternating | 1 | EXACT |
            by hand, absolute | FAN | 1: on:fan |  | 1 | EXACT |
            a bank that another switch left | BANKS | 1: select:patch-2; 2: select:tone-1 |  | 1 | WRONG | 2 1
            its twin sends its own bank | PATCH | 1: select:patch-2; 2: select:tone-1 |  | 1 | EXACT |
            """)
    void aStoryIsTheShortest(
            String name, String chart, String steps, String modes, String asked, Verdict verdict, String story) {
        Plan plan = StoryRig.of(StoryRig.chart(chart), steps, modes);
        Proof proof = Report.of(plan).proof(at(asked)).orElseThrow();
        assertThat(proof.verdict()).as(proof.seen().toString()).isEqualTo(verdict);
        assertThat(proof.broken().map(StoryTests::words)).isEqualTo(Optional.ofNullable(story));
        assertThat(Report.of(plan).findings(at(asked)).stream()
                        .noneMatch(finding -> finding.code().startsWith("switches.")))
                .isEqualTo(verdict == Verdict.EXACT);
        proof.broken()
                .ifPresent(broken -> assertThat(played(plan, broken).value(broken.place()))
                        .as("the engine plays the story to the same end")
                        .isEqualTo(broken.actual()));
    }

    /** What hands do, "at doors" or "by hand", then as above. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            what it needs runs from doors on | LIGHTS | at doors Auto on | 1: on:chase-1 |  | EXACT |
            its twin: nobody has set it | LIGHTS | at doors Auto off | 1: on:chase-1 |  | PART | 1
            set at doors, ended by a switch | LIGHTS | at doors Auto on | 1: on:chase-1; 2: off:auto |  | PART | 2 1
            at the desk too | LAMP | by hand Lamp | 1: on:lamp; 1 again: off:lamp | 1 alternating | EVERY_OTHER | hand 1
            its twin says a state | HAZE | by hand every haze | 1: on:haze-1 |  | EXACT |
            """)
    void handsChangeWhatHolds(
            String name, String chart, String hands, String steps, String modes, Verdict verdict, String story) {
        Plan bare = StoryRig.of(StoryRig.chart(chart), steps, modes);
        var box = new DeviceId("box");
        Plan plan = hands.startsWith("by hand ")
                ? new HandEdit.WorkByHand(box, hands.substring(8)).apply(bare)
                : new HandEdit.SetAtDoors(box, hands.substring(9)).apply(bare);
        Proof proof = Report.of(plan).proof(at("1")).orElseThrow();
        assertThat(proof.verdict()).as(proof.seen().toString()).isEqualTo(verdict);
        assertThat(proof.broken().map(StoryTests::words)).isEqualTo(Optional.ofNullable(story));
        assertThat(Report.after(Report.of(bare), plan).proof(at("1")).orElseThrow())
                .as("the same after an edit")
                .isEqualTo(proof);
    }

    @Test
    void aStoryIsToldByTheNamesOnTheTape() {
        Plan plan =
                StoryRig.of(StoryRig.chart("LIGHTS"), "1: on:chase-1 + toggle:auto; 2: on:chase-2 + toggle:auto", "");
        plan = new SwitchEdit.NameSwitch(at("1"), "Verse").apply(plan);
        plan = new SwitchEdit.NameSwitch(at("2"), "Chorus").apply(plan);
        Broken broken = Report.of(plan).proof(at("2")).orElseThrow().broken().orElseThrow();
        assertThat(new Wording(plan.rig(), plan.book(), Language.ENGLISH).say(broken.phrase(plan)))
                .isEqualTo("press Verse, then press Chorus");
    }

    @Test
    void whatIsTurnedRoundTwiceShowsNothing() {
        Plan plan = StoryRig.of(StoryRig.chart("LAMP"), "1: toggle:lamp", "");
        Step toggle = plan.switches().at(at("1")).steps().getFirst();
        plan = plan.withSwitches(
                plan.switches().with(plan.switches().at(at("1")).withStep(Moment.PRESS, toggle)));
        Proof proof = Report.of(plan).proof(at("1")).orElseThrow();
        assertThat(proof.verdict()).as(proof.seen().toString()).isEqualTo(Verdict.SHOWN_NOTHING);
        assertThat(Report.of(plan).findings(at("1")))
                .extracting(Finding::code)
                .containsExactly("switches.undoes-itself");
    }

    /** 31 tracks, each played by a switch of its own: 2^31 states, one press for all. */
    @Test
    void makingSafeIsProvenFromEveryStateAndTheirNumberIsTold() {
        String tracks = "play Track 1..31: cc 1..31 over 63; stop all Tracks: cc 80 over 63";
        String plays = IntStream.rangeClosed(1, 31)
                .mapToObj(n -> "%d: play:track-%d".formatted(n, n))
                .collect(Collectors.joining("; "));
        Plan plan = StoryRig.of(tracks, plays + "; 32: stop-all:tracks", "");
        plan = plan.withSwitches(
                plan.switches().with(plan.switches().at(at("32")).withDuty(Optional.of(Duty.KILL))));
        MakeSafe kill = Report.of(plan).safety().getFirst();
        assertThat(kill.verdict()).isEqualTo(Verdict.EXACT);
        assertThat(kill.states()).isEqualTo(BigInteger.TWO.pow(31));
    }

    /** Nothing else brings a track to play; somebody may still find it playing. */
    @Test
    void makingSafeIsNotProvenByWhatCannotHappenYet() {
        Plan plan = StoryRig.of(StoryRig.chart("LOOPS"), "1: stop-all:tracks", "1 alternating", "kill 1");
        MakeSafe kill = Report.of(plan).safety().getFirst();
        assertThat(kill.verdict()).isEqualTo(Verdict.EVERY_OTHER);
        assertThat(kill.broken()).isPresent();
    }

    /** 24 scenes on switches that only alternate have 2^24 sides, which decide nothing here. */
    @Test
    void sidesThatDecideNothingAreNotMultiplied() {
        String scenes = IntStream.rangeClosed(1, 24)
                .mapToObj(n -> "%d: recall:scene-%d".formatted(n, n))
                .collect(Collectors.joining("; "));
        Report whole = Report.of(StoryRig.of("recall Scene 1..24: cc 1..24", scenes, "all alternating"));
        assertThat(whole.proofs()).hasSize(24).allMatch(proof -> proof.verdict() == Verdict.EXACT);
        Report half = Report.of(StoryRig.of("recall Scene 1..24: cc 1..24 over 63", scenes, "all alternating"));
        assertThat(half.proofs()).hasSize(24).allMatch(proof -> proof.verdict() == Verdict.EVERY_OTHER);
        assertThat(half.proofs().getLast().broken().map(StoryTests::words)).contains("24 1 24");
    }

    @ParameterizedTest
    @CsvSource({"safe: toggle Lamp", "safe: open Main; toggle Lamp"})
    void aToggleIsNoWayToMakeSafe(String line) {
        assertThat(ChartReading.of("toggle Lamp: note 1\nopen Main: note 2\n" + line)
                        .errors())
                .singleElement()
                .asString()
                .contains("makes nothing safe");
    }

    private static World played(Plan plan, Broken broken) {
        Rehearsal rehearsal = Rehearsal.begun(World.poweredOn(plan.rig()));
        Engine engine = new Engine(plan);
        for (List<Tread> treads : Tread.of(plan, broken)) {
            for (Tread tread : treads) {
                assertThat(Tread.parse(tread.key())).contains(tread);
                assertThat(tread.isPossible(plan)).isTrue();
                rehearsal = rehearsal.then(engine, tread);
            }
        }
        return rehearsal.state();
    }

    private static String words(Broken broken) {
        return broken.doings().stream()
                .filter(doing -> !(doing instanceof Doing.Left))
                .map(doing -> switch (doing) {
                    case Doing.Foot foot ->
                        (foot.moment() == Moment.RELEASE ? "up" : "")
                                + foot.at().number();
                    case Doing.ByHand hand -> "hand";
                    default -> doing.toString();
                })
                .collect(Collectors.joining(" "));
    }

    private static SwitchAt at(String number) {
        return Sketch.at("board " + number);
    }
}
