package embrack.app.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import embrack.app.AppTest;
import embrack.app.frame.Deliveries;
import embrack.app.frame.Spoken;
import embrack.app.store.Bench;
import embrack.app.store.LineStore;
import embrack.app.store.LogStore;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.RunStore;
import embrack.app.store.StoredRig;
import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.compile.Compiler;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.run.Act;
import embrack.core.run.Advice;
import embrack.core.run.Drill;
import embrack.core.run.Fault;
import embrack.core.run.History;
import embrack.core.run.Leap;
import embrack.core.run.Line;
import embrack.core.run.Loop;
import embrack.core.run.Night;
import embrack.core.run.Noticing;
import embrack.core.run.Run;
import embrack.core.run.Score;
import embrack.core.run.Telling;
import embrack.core.run.Wrong;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import embrack.core.world.Place;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@AppTest
class LiveRunsTests {

    @Autowired
    private RigStore rigs;

    @Autowired
    private Reports reports;

    @Autowired
    private Nights nights;

    @Autowired
    private RunStore store;

    @Autowired
    private RunLog log;

    @Autowired
    private LogStore kept;

    @Autowired
    private LineStore line;

    @Autowired
    private RealFeet feet;

    @Autowired
    private LiveRuns runs;

    @Autowired
    private RunActs acts;

    /** What is kept of a run is enough to go on with it where it was, to the same state of every box. */
    @Test
    void aRunIsTheSameAfterTheServerWasStartedAnew() {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
        StoredRig stored = rigs.load(id);
        LiveRun run = runs.begin(stored, RunStore.Wish.of(4, 3, true, "Mira"), Pace.PAUSED);
        runs.go(run, Pace.PAUSED);
        for (String words : List.of(
                "step",
                "tap quay-board.1.4",
                "link-out thru-box.thru-4 keys.in 0",
                "box-out loop-table 4000000",
                "misstep voice-board.1.3",
                "step",
                "step",
                "note the loop table came late",
                "tap side-board.1.2",
                "step",
                "step-back",
                "feet people",
                "from 6 0",
                "step")) {
            acts.done(run, "Mira", words);
        }
        Run before = run.run();
        Run after = new LiveRuns(nights, store, log).of(id).orElseThrow().run();
        assertThat(after).isEqualTo(before).hasSameHashCodeAs(before);
        assertThat(after.tape()).isEqualTo(before.tape());
        assertThat(store.acts(run.id(), stored.plan().rig())).hasSizeGreaterThan(8);

        for (String words : List.of(
                "press nowhere.1.1",
                "press quay-board.99.1",
                "turn quay-board 0",
                "from -1 0",
                "from 99 0",
                "set vocal-mixer main muted 7",
                "move quay-board treadle 1 1 128",
                "overrun 99999999999999999",
                "speed never",
                "note " + "x".repeat(2_000))) {
            assertThat(acts.done(run, "Mira", words)).as(words).isFalse();
        }
        assertThat(run.run()).isEqualTo(before);

        runs.end(id);
        assertThat(runs.of(id)).isEmpty();
        assertThat(new LiveRuns(nights, store, log).of(id)).isEmpty();
    }

    /** The demo, pressed as planned: each part begins when its order says, nothing goes wrong, the slot suffices. */
    @Test
    void theNightOfTheDemoGoesAsItsOrderSays() {
        Night night = Night.of(reports.of(rigs.load(new RigId(1))));
        Run run = Run.of(night, true);
        Map<Integer, Long> began = new TreeMap<>();
        while (!run.isOver()) {
            run = run.until(run.nextMicros());
            assertThat(run.wrongs()).noneMatch(Wrong::told);
            run.tape().stream()
                    .filter(line -> line.what() instanceof Line.Began)
                    .forEach(line -> began.put(((Line.Began) line.what()).part(), line.at()));
        }
        assertThat(began).hasSameSizeAs(night.parts());
        began.forEach((part, at) -> assertThat(
                        at - night.micros(night.parts().get(part).startMicros()))
                .as("late at part %s", part)
                .isBetween(0L, 100_000L));
        assertThat(run.spareMicros().orElseThrow()
                        - night.running().roomMicros().orElseThrow())
                .isBetween(-100_000L, 0L);
    }

    /** Around each end of a part it goes by the clock, and over what lies between at once. */
    @Test
    void onlyTheJoinsArePlayed() {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
        LiveRun run = runs.begin(rigs.load(id), RunStore.Wish.of(2, 0, true, ""), Pace.PAUSED);
        runs.go(run, new Pace(Pace.Speed.JOINS, false));
        long nanos = System.nanoTime();
        run.go(new Pace(Pace.Speed.JOINS, true), nanos);
        for (int tenths = 0; tenths < 9 * 10; tenths++) {
            run.tick(nanos += 100_000_000);
        }
        assertThat(run.run().songMicros().orElseThrow()).isLessThan(10_000_000);
        for (int tenths = 0; tenths < 3 * 10; tenths++) {
            run.tick(nanos += 100_000_000);
        }
        assertThat(run.run().part()).isEqualTo(2);
        assertThat(run.run().sectionLeftMicros().orElseThrow()).isBetween(5_000_000L, 10_000_000L);
        for (int tenths = 0; tenths < 30 * 10; tenths++) {
            run.tick(nanos += 100_000_000);
        }
        assertThat(run.run().part()).isEqualTo(3);
        runs.end(id);
    }

    /** Feet that press as a script says, at times worked out by hand. */
    @Test
    void aDrillIsScoredAndKept() {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
        StoredRig stored = rigs.load(id);
        LiveRun run = drill(stored, 1, "");
        // The countdown waits for its press, then takes five minutes; somebody presses Go 20 s before it is over.
        long nanos = tap(run, "quay-board.1.4", 0, 1_500);
        nanos = tap(run, "side-board.1.1", nanos, 280_000);
        nanos = after(run, nanos, 2_000);
        assertThat(run.run().part()).isEqualTo(2);
        // "Let go" in the first round of what goes round is nobody's fault.
        run.act("Mira", new Act.From(2, 50), nanos);
        nanos = until(run, nanos, at -> at.section().orElse(-1) == 5 && at.pass() == 1);
        tap(run, "side-board.1.5", nanos, 0);
        assertThat(run.score().wrong()).isZero();
        // "Boat loop" is due at 18|3 of the next song: its neighbour is pressed 100 ms late, itself 700 ms late.
        run.act("Mira", new Act.From(3, 17), nanos);
        nanos = tap(run, "quay-board.1.8", nanos, due(run) + 100);
        nanos = tap(run, "quay-board.1.7", nanos, 600);
        after(run, nanos, 12_000);
        log.write(run);
        LogStore.Entry entry = kept.find(id, "drill", "", "").getFirst();
        assertThat(entry.who()).isEqualTo("Mira");
        List<LogStore.Press> presses = kept.presses(entry.id());
        assertThat(presses)
                .extracting(LogStore.Press::grade, LogStore.Press::millis, LogStore.Press::isBeside)
                .containsExactly(
                        tuple("right", 1_500, false),
                        tuple("early", -20_000, false),
                        tuple("right", -1_304, false),
                        tuple("late", 700, true));
        // Late by nearly twice what is right after another switch is worse than a start at twice what is right.
        assertThat(presses).extracting(LogStore.Press::rank).containsExactly(0, 2, 0, 1);
        assertThat(kept.find(id, "", "boat loop", "")).hasSize(1);
        assertThat(kept.find(id, "", "", "Tide Against the Pier")).hasSize(1);
        assertThat(kept.find(id, "show", "", "")).isEmpty();

        isPlayedAgain(stored, run);

        // The hardest again: it goes to each and on only once it sits.
        LiveRun again = drill(stored, 0, presses.get(3).target());
        long now = until(again, 0, at -> at.part() == 3);
        for (int times = 0; times < Drill.SITS; times++) {
            assertThat(again.drill()).isPresent();
            now = tap(again, "quay-board.1.7", now, due(again));
            now = after(again, now, 2_000);
        }
        assertThat(again.drill()).isEmpty();
        assertThat(again.pace().isGoing()).isFalse();
        assertThat(again.score().count(Score.Grade.RIGHT)).isEqualTo(Drill.SITS);
    }

    /** A lead that carries nothing but sound is heard to be out, and is put back by the advice. */
    @Test
    void aSoundLeadThatIsOutIsPutBack() {
        Night night = Night.of(reports.of(rigs.load(new RigId(1))));
        var noticing = new Noticing(night.plan());
        Run playing = Run.at(night, 2, 30, true);
        Link heard = night.plan().rig().links().stream()
                .filter(link -> night.plan().rig().kind(link) == LinkKind.SOUND)
                .filter(link -> !noticing.of(out(playing, link)).isEmpty())
                .findFirst()
                .orElseThrow();
        Run out = out(playing, heard);
        assertThat(out.wrongs()).isEmpty();
        Advice advice = Advice.of(out).orElseThrow();
        assertThat(advice.acts()).containsExactly(new Act.Repaired(new Event.LinkBack(heard)));
        assertThat(noticing.of(out.after(advice.acts().getFirst()))).isEmpty();
    }

    private static Run out(Run run, Link link) {
        return run.after(new Act.Struck(new Fault.LinkOut(link, 0))).until(run.now() + 100_000);
    }

    /**
     * What is recorded goes round as long as it was recorded; on top it stays as long, and another memory forgets it.
     */
    @Test
    void aLoopIsAsLongAsItWasRecorded() {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
        LiveRun run = drill(rigs.load(id), 3, "");
        run.act("Mira", new Act.From(3, 17), 0);
        run.act("Mira", new Act.ByHand(new Event.TurnTo(new DeviceId("quay-board"), 2)), 0);
        var track = new Place(new DeviceId("loop-table"), new PartId("track-1"), Aspect.TRANSPORT);
        long nanos = after(run, tap(run, "quay-board.2.1", 0, 0), 100);
        assertThat(run.run().loop(track)).map(Loop::isOpen).contains(true);
        nanos = tap(run, "quay-board.2.1", nanos, 3_900);
        after(run, nanos, 100);
        Loop loop = run.run().loop(track).orElseThrow();
        assertThat(loop.lengthMicros()).isBetween(3_990_000L, 4_010_000L);
        // 7/8 at 126 quarters a minute: a bar is 3.5 × 60 / 126 s.
        assertThat(run.run().bars(loop).orElseThrow()).isCloseTo(4 / (3.5 * 60 / 126), within(0.01));
        assertThat(BoxView.all(
                        run.run(),
                        Spoken.of(run.run().night().plan()),
                        new Telling(run.run().night())))
                .flatExtracting(BoxView::facts)
                .extracting(BoxView.Fact::value)
                .contains("Turn 1", "playing, a round of 4.00 s or 2.40 bars");
        nanos = tap(run, "quay-board.2.1", nanos, 5_000);
        after(run, nanos, 100);
        assertThat(run.run().loop(track)).contains(loop);
        run.act("Mira", new Act.AtPlayer(new Leap.BySongs(1)), nanos);
        after(run, nanos, 500);
        assertThat(run.run().loop(track)).isEmpty();
    }

    /** A press of a real board counts from its first byte, however late it is told, but never before another. */
    @Test
    void whatIsToldLateComesWhereItBelongs() {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
        StoredRig stored = rigs.load(id);
        LiveRun run = drill(stored, 0, "");
        run.act("Mira", new Act.From(3, 17), 0);
        var here = new Bench("this", "page", List.of());
        SwitchAt loop = SwitchAt.parse("quay-board.1.7").orElseThrow();
        String sent = new Compiler(stored.plan())
                .compile(stored.plan().switches().at(loop)).sent(Moment.PRESS).stream()
                        .map(Message::hex)
                        .collect(Collectors.joining(" "));
        assertThat(feet.at(stored, here, "nobody knows", sent)).isEmpty();
        line.plug(id, "this", "Board in", false, Optional.of(new DeviceId("quay-board")));
        List<Act> acts = feet.at(stored, here, "Board in", sent);
        assertThat(acts).contains(new Act.ByHand(new Event.Press(loop)));
        long nanos = after(run, 0, due(run) + 200);
        run.act("Mira", acts.getFirst(), nanos, 150_000);
        assertThat(run.score().presses())
                .singleElement()
                .satisfies(scored -> assertThat(scored.byMicros()).isBetween(49_000L, 51_000L));
        // It stands where the clock is, and a press that came before another stays before it.
        assertThat(run.run().feet()).hasSize(1);
        long now = run.run().now();
        run.act("Mira", new Act.Note("!"), nanos);
        run.act("Mira", new Act.Note("late"), nanos, 2_000_000);
        assertThat(run.run().now()).isEqualTo(now);
        run.keep(nanos);
        List<History.Done> done = store.acts(run.id(), stored.plan().rig());
        RunStore.Kept begun = store.find(id, run.id()).orElseThrow();
        LiveRun again = new LiveRun(id, store, begun, run.run().night(), done, 0);
        assertThat(again.run()).isEqualTo(run.run());
    }

    /**
     * Played again in other pieces of time, and over a restart of the server, it is the same run to the microsecond.
     */
    private void isPlayedAgain(StoredRig rig, LiveRun run) {
        run.keep(0);
        Night night = run.run().night();
        Rig gear = rig.plan().rig();
        RunStore.Kept whole = store.find(rig.id(), run.id()).orElseThrow();
        var replay = Optional.of(new Replay(store.acts(run.id(), gear), whole.reached()));
        RunStore.Kept second =
                store.begin(rig.id(), rig.revision(), whole.again(), run.start().now(), "going one");
        LiveRun again = new LiveRun(rig.id(), store, second, night, List.of(), replay, 0);
        long nanos = until(again, 0, at -> at.songMicros().orElse(0) > 100_000_000);
        assertThat(acts.done(again, "Mira", "tap quay-board.1.1")).isFalse();
        again.keep(nanos);
        RunStore.Kept half = store.find(rig.id(), again.id()).orElseThrow();
        LiveRun anew = new LiveRun(rig.id(), store, half, night, store.acts(half.id(), gear), replay, 0);
        long then = 0;
        for (int ticks = 0; anew.pace().isGoing() && ticks < 5_000; ticks++) {
            anew.tick(then += 371_000_000);
        }
        assertThat(anew.pace().isGoing()).isFalse();
        assertThat(anew.run().until(run.run().now() + 1_000_000))
                .isEqualTo(run.run().until(run.run().now() + 1_000_000))
                .hasSameHashCodeAs(run.run().until(run.run().now() + 1_000_000));
        assertThat(anew.score()).isEqualTo(run.score());
        assertThat(store.acts(anew.id(), gear)).isEqualTo(store.acts(run.id(), gear));
        assertThat(kept.find(rig.id(), "drill", "", "")).hasSize(1);
    }

    /** A press that is told late comes to real boxes all the same, and nothing comes to them twice by it. */
    @Test
    void whatIsToldLateIsBroughtToRealBoxesOnce() {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
        LiveRun run = drill(rigs.load(id), 3, "");
        run.act("Mira", new Act.From(3, 18), 0);
        Set<DeviceId> desk = Set.of(new DeviceId("lantern-desk"));
        long before = run.brought(OptionalLong.empty(), desk).line();
        // Scene 9 is called at bar 19; half a second before it somebody pressed "Harbour light".
        long nanos = until(run, 0, at -> at.section().orElse(-1) == 2);
        nanos = after(run, nanos, 300);
        Deliveries.Since cue = run.brought(OptionalLong.of(before), desk);
        assertThat(notes(cue)).containsExactly("97 2C 7F");
        SwitchAt light = SwitchAt.parse("quay-board.1.3").orElseThrow();
        run.act("Mira", new Act.ByHand(new Event.Press(light)), nanos, 800_000);
        Deliveries.Since late = run.brought(OptionalLong.of(cue.line()), desk);
        assertThat(notes(late)).containsExactly("97 24 7F");
        after(run, nanos, 200);
        assertThat(run.brought(OptionalLong.of(late.line()), desk).deliveries()).isEmpty();
        run.go(new Pace(Pace.Speed.TWO, true), nanos);
        assertThat(run.brought(OptionalLong.of(before), desk).deliveries()).isEmpty();
        assertThat(run.brought(OptionalLong.of(before), desk).isTooFast()).isTrue();
        // Slow again: what came while it was fast stays away from real boxes.
        run.act("Mira", new Act.ByHand(new Event.Press(light)), nanos);
        run.act("Mira", new Act.ByHand(new Event.Release(light)), nanos);
        nanos = after(run, nanos, 500);
        run.go(new Pace(Pace.Speed.ONE, true), nanos);
        assertThat(run.brought(OptionalLong.of(late.line()), desk).deliveries()).isEmpty();
    }

    /** What the desk obeys: notes on its channel, not what passes for other boxes. */
    private static List<String> notes(Deliveries.Since since) {
        return since.deliveries().stream()
                .map(one -> one.message().hex())
                .filter(hex -> hex.startsWith("97"))
                .toList();
    }

    private LiveRun drill(StoredRig rig, int part, String targets) {
        var wish = new RunStore.Wish(RunStore.Sort.DRILL, part, 0, false, "Mira", targets, OptionalLong.empty());
        Night night = Night.of(reports.of(rig));
        RunStore.Kept begun = store.begin(
                rig.id(), rig.revision(), wish, Run.at(night, part, 0, false).now(), "going one");
        LiveRun run = new LiveRun(rig.id(), store, begun, night, List.of(), 0);
        log.begun(run);
        return run;
    }

    /** So many milliseconds later, in steps that no server is too busy for. */
    private static long after(LiveRun run, long nanos, long millis) {
        long end = nanos + millis * 1_000_000;
        for (long at = nanos; at < end; at = Math.min(end, at + 500_000_000)) {
            run.tick(at);
        }
        run.tick(end);
        return end;
    }

    private static long until(LiveRun run, long nanos, Predicate<Run> there) {
        long at = nanos;
        for (int ticks = 0; !there.test(run.run()); ticks++) {
            assertThat(ticks).isLessThan(2_000);
            run.tick(at += 100_000_000);
        }
        return at;
    }

    /** Pressed and let go, so many milliseconds after a moment; when that was. */
    private static long tap(LiveRun run, String at, long nanos, long millis) {
        SwitchAt foot = SwitchAt.parse(at).orElseThrow();
        long then = after(run, nanos, millis);
        run.act("Mira", new Act.ByHand(new Event.Press(foot)), then);
        run.act("Mira", new Act.ByHand(new Event.Release(foot)), then);
        return then;
    }

    /** In how many milliseconds the next press is due, to the nearest. */
    private static long due(LiveRun run) {
        return Math.round(run.run().coming().getFirst().inMicros().orElseThrow() / 1_000.0);
    }
}
