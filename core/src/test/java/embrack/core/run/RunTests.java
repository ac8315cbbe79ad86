package embrack.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.RandomBooks;
import embrack.core.RandomRigs;
import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.music.Position;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Socket;
import embrack.core.run.text.ActText;
import embrack.core.show.Anchor;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Running;
import embrack.core.show.Song;
import embrack.core.sim.CueProof;
import embrack.core.sim.Jump;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class RunTests {

    private static final long SECOND = 1_000_000;

    /** The evening with a switch for "go", one that is pressed in a song, and one that lets its vamp go. */
    private static Plan evening() {
        return Evening.sketch()
                .step(
                        "foot-board 1: player play:tracks",
                        "foot-board 2: player off:loop",
                        "foot-board 5: vocal-mixer mute:input-1")
                .cues("lanterns", "start of Vamp = player on:loop")
                .foot("lanterns", "42|3", "foot-board 2")
                .foot("ebb", "9|1", "foot-board 5")
                .plan();
    }

    private static Night night(Plan plan) {
        return Night.of(Report.of(plan));
    }

    private static List<Line> whole(Run from) {
        List<Line> lines = new ArrayList<>();
        Run run = from;
        while (!run.isOver() && run.nextMicros() != Long.MAX_VALUE) {
            long before = run.lines();
            run = run.until(run.nextMicros());
            run.tape().stream().filter(line -> line.number() > before).forEach(lines::add);
        }
        return lines;
    }

    @Test
    void aNightThatGoesAsPlannedBeginsEachPartWhenTheOrderSays() {
        Night night = night(evening());
        List<Line> lines = whole(Run.of(night, true));
        List<Long> began = lines.stream()
                .filter(line -> line.what() instanceof Line.Began)
                .map(Line::at)
                .toList();
        List<Long> planned = night.parts().stream()
                .map(Running.Part::startMicros)
                .map(night::micros)
                .toList();
        assertThat(began).hasSameSizeAs(planned);
        for (int i = 0; i < planned.size(); i++) {
            assertThat(began.get(i)).isBetween(planned.get(i), planned.get(i) + SECOND / 10);
        }
        assertThat(lines).noneMatch(line -> line.what() instanceof Line.Amiss || line.what() instanceof Line.Silent);
        assertThat(lines)
                .filteredOn(line -> line.what() instanceof Line.InSection in && in.section() == 5)
                .hasSize(3);
    }

    /** What people do, and what goes wrong, in any order and at any time. */
    private static List<Act> acts(Plan plan) {
        List<Act> acts = new ArrayList<>();
        plan.rig().links().forEach(link -> {
            acts.add(new Act.Struck(new Fault.LinkOut(link, 3 * SECOND)));
            acts.add(new Act.Struck(new Fault.Slip(link, Event.Fate.DOUBLED)));
            acts.add(new Act.Struck(new Fault.Stutter(link, 2 * SECOND)));
        });
        plan.rig().devices().forEach(device -> acts.add(new Act.Struck(new Fault.BoxOut(device.id(), 5 * SECOND))));
        plan.switches().assignments().forEach(assignment -> {
            acts.add(new Act.ByHand(new Event.Press(assignment.at())));
            acts.add(new Act.ByHand(new Event.Release(assignment.at())));
            acts.add(new Act.Struck(new Fault.Misstep(assignment.at())));
        });
        acts.addAll(List.of(
                new Act.AtPlayer(new Leap.Again()),
                new Act.AtPlayer(new Leap.ToSong(2)),
                new Act.AtPlayer(new Leap.ToSection(1)),
                new Act.AtPlayer(new Leap.Pause()),
                new Act.AtPlayer(new Leap.Play()),
                new Act.AtPlayer(new Leap.Fade()),
                new Act.AtPlayer(new Leap.BySections(1)),
                new Act.GoOn(),
                new Act.Feet(false),
                new Act.Feet(true),
                new Act.Back(400 * SECOND),
                new Act.From(3, 9),
                new Act.Note("too loud"),
                new Act.Struck(new Fault.Overrun(20 * SECOND))));
        return acts;
    }

    /** In however many pieces time is told, and kept as texts and replayed, the same acts give the same run. */
    @Property(tries = 60)
    void theSameActsGiveTheSameRun(@ForAll @IntRange(max = 1_000_000) int seed) {
        var random = new Random(seed);
        Plan plan = evening();
        Run start = Run.of(night(plan), random.nextBoolean());
        List<Act> all = acts(plan);
        History piecewise = History.of(start);
        List<History.Done> done = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            long to = piecewise.run().now() + random.nextInt(90) * SECOND / (1 + random.nextInt(500));
            while (piecewise.run().now() < to) {
                piecewise = piecewise.until(Math.min(to, piecewise.run().now() + 1 + random.nextInt(9_000_000)));
            }
            Act act = all.get(random.nextInt(all.size()));
            done.add(new History.Done(piecewise.run().now(), act));
            piecewise = piecewise.after(act);
        }
        List<History.Done> read = done.stream()
                .map(one -> new History.Done(
                        one.at(),
                        ActText.read(plan.rig(), ActText.write(one.act())).orElseThrow()))
                .toList();
        assertThat(read).isEqualTo(done);
        Run again = History.replay(start, read).run();
        assertThat(again).isEqualTo(piecewise.run()).hasSameHashCodeAs(piecewise.run());
        assertThat(again.tape()).isEqualTo(piecewise.run().tape());
    }

    /** Who goes back at once, before time was told at all, has what comes at the beginning behind him all the same. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void whatComesAtTheBeginningIsTold(boolean byPlan) {
        Run start = Run.of(night(evening()), byPlan);
        History.Done done = new History.Done(0, new Act.Back(0));
        Run at = History.of(start).after(done.act()).run();
        assertThat(at).isEqualTo(History.replay(start, List.of(done)).run());
        assertThat(at.tape())
                .isEqualTo(History.replay(start, List.of(done)).run().tape());
    }

    /** On any rig: what a night leaves is what the engine leaves that plays its cues from rest to rest. */
    @Property(tries = 60)
    void aNightLeavesWhatItsCuesLeaveOneByOne(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 4, max = 12) int boxes) {
        Plan plan = spaced(RandomBooks.of(seed, boxes));
        Assume.that(RandomBooks.hasPlayer(plan));
        Report report = Report.of(plan);
        Night night = Night.of(report);
        World world = night.start();
        for (int part = 0; part < night.parts().size(); part++) {
            Script script = night.script(part).orElseThrow();
            for (List<Script.Beat> beats : List.of(script.load(), script.inside(), script.stop())) {
                for (Script.Beat beat : beats) {
                    world = night.engine()
                            .cue(world, script.song().id(), beat.cue().number(), beat.every())
                            .after();
                }
            }
        }
        Run over = Run.of(night, true).until(12 * 3_600 * SECOND);
        assertThat(over.isOver()).isTrue();
        assertThat(over.actual().differences(world)).isEmpty();
        boolean isFound = report.book().run().upsets().stream().anyMatch(upset -> upset.jump() instanceof Jump.None)
                || report.book().songs().stream()
                        .flatMap(song -> Stream.concat(song.cues().stream(), song.always().stream()))
                        .filter(cue -> cue.phase() != CueProof.Phase.LOOP)
                        .anyMatch(cue -> !cue.verdict().isRight());
        boolean isSeen = whole(Run.of(night, true)).stream().anyMatch(line -> line.what() instanceof Line.Amiss);
        assertThat(!isSeen || isFound).as("seen in the run: proven wrong").isTrue();
    }

    /**
     * On any rig, press by press: the run is where the engine is, and what is proven exact or late makes nothing wrong
     * that was right, whatever was pressed before.
     */
    @Property(tries = 160)
    void aPressDoesInARunWhatIsProvenOfIt(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 3, max = 12) int boxes) {
        Report report = Report.of(RandomRigs.withGestures(seed, boxes));
        List<SwitchAt> all = report.plan().switches().assignments().stream()
                .map(Assignment::at)
                .toList();
        List<SwitchAt> proven = report.proofs().stream()
                .filter(proof -> proof.moment() == Moment.PRESS)
                .filter(proof -> proof.verdict() == Verdict.EXACT || proof.verdict() == Verdict.LATE)
                .map(Proof::at)
                .toList();
        Assume.that(!all.isEmpty());
        var random = new Random(seed);
        Run run = Run.of(night(report.plan()), false);
        World world = run.actual();
        for (int i = 0; i < 20; i++) {
            List<SwitchAt> from = random.nextBoolean() && !proven.isEmpty() ? proven : all;
            SwitchAt at = from.get(random.nextInt(from.size()));
            Set<Place> before = wrong(run);
            if (world.shownBank(at.board()) != at.bank()) {
                run = run.after(new Act.ByHand(new Event.TurnTo(at.board(), at.bank())));
            }
            run = run.after(new Act.ByHand(new Event.Press(at)));
            run = run.until(run.now() + SECOND).after(new Act.ByHand(new Event.Release(at)));
            run = run.until(run.now() + 5 * SECOND);
            world = run.night().engine().tap(world, at).after();
            assertThat(run.actual().differences(world)).isEmpty();
            if (proven.contains(at)) {
                assertThat(before)
                        .as("%s, press %s", report.plan().words(at), i)
                        .containsAll(wrong(run));
            }
        }
    }

    private static Set<Place> wrong(Run run) {
        return run.wrongs().stream().map(Wrong::place).collect(Collectors.toSet());
    }

    /** On any rig: what stands wrong after a section was played once more is found by the run of the show. */
    @Property(tries = 60)
    void whatIsWrongAfterAJumpIsFound(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 4, max = 12) int boxes) {
        Plan plan = spaced(RandomBooks.of(seed, boxes));
        Assume.that(RandomBooks.hasPlayer(plan));
        Report report = Report.of(plan);
        Run run = Run.of(Night.of(report), true);
        var random = new Random(seed);
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < 3 && !run.isOver(); i++) {
            run = run.until(run.now() + random.nextInt(60) * SECOND).after(new Act.AtPlayer(new Leap.Again()));
            lines.addAll(run.tape());
        }
        lines.addAll(whole(run));
        boolean isFound = !report.book().run().upsets().isEmpty() || isAnyCueWrong(report);
        boolean isSeen = lines.stream().anyMatch(line -> line.what() instanceof Line.Amiss);
        assertThat(!isSeen || isFound).as("seen after a jump: found").isTrue();
    }

    private static boolean isAnyCueWrong(Report report) {
        return report.book().songs().stream()
                .flatMap(song -> Stream.concat(song.cues().stream(), song.always().stream()))
                .anyMatch(cue -> !cue.verdict().isRight());
    }

    /** Each cue of a song in a bar of its own, and none that waits as songs change: all is at rest before each. */
    private static Plan spaced(Plan plan) {
        List<Song> songs = plan.book().songs().stream()
                .map(song -> {
                    List<Cue> cues = new ArrayList<>();
                    for (Cue cue : song.cues()) {
                        cues.add(
                                cue.at() instanceof Anchor.Automatic
                                        ? cue.withSteps(cue.steps().stream()
                                                .map(step -> new Step(step.device(), step.action()))
                                                .toList())
                                        : cue.withAnchor(new Anchor.OnBar(Position.bar(2 + 2 * cues.size()))));
                    }
                    return song.withCues(cues);
                })
                .toList();
        return plan.withBook(new Book(songs, List.of(), List.of()));
    }

    /** What is done at a time of the evening, and what the run then tells that is no message. */
    static Stream<Arguments> stories() {
        Plan plan = evening();
        var merger = Sketch.on(plan).linkOf("merger.out > thru-box.in");
        return Stream.of(
                Arguments.of(
                        "a cable that is out for a refrain",
                        340,
                        new Fault.LinkOut(merger, 20 * SECOND),
                        List.of("LinkOut", "Amiss guitar-sounds/patch-2", "Amiss lantern-desk/scene-4", "LinkBack")),
                Arguments.of(
                        "the player's computer dies",
                        330,
                        new Fault.BoxOut(new DeviceId("computer"), 0),
                        List.of("BoxOut", "Silent")),
                // What comes back while its song goes on waits to be told, as a real one does.
                Arguments.of(
                        "the player's computer is off as its song begins",
                        290,
                        new Fault.BoxOut(new DeviceId("computer"), 40 * SECOND),
                        List.of(
                                "BoxOut",
                                "Silent",
                                "Amiss guitar-sounds/patch-1",
                                "Amiss lantern-desk/scene-1",
                                "On",
                                "Amiss guitar-sounds/patch-2",
                                "Amiss lantern-desk/scene-4")));
    }

    private static final String NOTHING = "";

    private static String told(Line line) {
        return switch (line.what()) {
            case Line.Amiss amiss ->
                "Amiss %s/%s"
                        .formatted(
                                amiss.wrong().place().device(),
                                amiss.wrong().place().part());
            case Line.Silent silent -> "Silent";
            case Line.Sounds sounds -> "Sounds";
            case Line.Struck struck -> struck.fault().getClass().getSimpleName();
            case Line.Repaired back -> back.event().getClass().getSimpleName();
            case Line.Missed missed -> "Missed " + missed.at().key();
            default -> NOTHING;
        };
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("stories")
    void whatGoesWrongIsTold(String name, long seconds, Fault fault, List<String> expected) {
        Run run = Run.of(night(evening()), true).until(seconds * SECOND).after(new Act.Struck(fault));
        List<String> told = Stream.concat(run.tape().stream(), whole(run).stream())
                .map(RunTests::told)
                .filter(words -> !words.isEmpty())
                .limit(expected.size())
                .collect(Collectors.toList());
        assertThat(told).isEqualTo(expected);
    }

    /**
     * MIDI 1.0 Detailed Specification, "Hardware": 31.25 kbaud, ten bits a byte, so that a byte takes 320
     * microseconds; no message of a night is in sooner behind the one ahead of it than its bytes take.
     */
    @Test
    void messagesOfANightFollowOneAnotherAsFastAsTheirWire() {
        Plan plan = evening();
        Set<Socket> wired = plan.rig().links().stream()
                .filter(link -> plan.rig().kind(link) == LinkKind.FIVE_PIN)
                .map(Link::to)
                .collect(Collectors.toSet());
        Map<Socket, Long> before = new HashMap<>();
        int behind = 0;
        for (Line line : whole(Run.of(night(plan), true))) {
            if (line.what() instanceof Line.Travelled(Happened.Arrived came) && wired.contains(came.socket())) {
                long takes = came.message().length() * 320L;
                long apart = came.atMicros() - before.getOrDefault(came.socket(), Long.MIN_VALUE / 2);
                before.put(came.socket(), came.atMicros());
                assertThat(apart).as("before %s", came).isGreaterThanOrEqualTo(takes);
                behind += apart == takes ? 1 : 0;
            }
        }
        assertThat(behind).isPositive();
    }

    /** What happened in a passage the first time is no reason for what goes wrong in it the second. */
    @Test
    void afterAWayBackOnlyWhatCameSinceIsTheReason() {
        int lanterns = 1;
        Night night = night(evening());
        Link guitar = night.plan().rig().links().stream()
                .filter(link -> link.to().device().text().equals("guitar-sounds"))
                .findFirst()
                .orElseThrow();
        History history = History.of(Run.at(night, lanterns, 15, true));
        history = history.until(history.run().now() + 40 * SECOND)
                .after(new Act.From(lanterns, 15))
                .after(new Act.Struck(new Fault.LinkOut(guitar, 0)));
        history = history.until(history.run().now() + 30 * SECOND);
        assertThat(history.run().wrongs())
                .filteredOn(wrong -> wrong.place().device().text().equals("guitar-sounds"))
                .isNotEmpty()
                .allSatisfy(wrong -> assertThat(wrong.where().orElseThrow()).isInstanceOf(Happened.Failed.class));
    }

    @Test
    void aPressCountsForWhatWasDueEarlyOrLate() {
        Night night = night(evening());
        SwitchAt mute = new SwitchAt(new DeviceId("foot-board"), 1, 5);
        int ebb = 3;
        Run before = Run.at(night, ebb, 8, false);
        long due = before.now() + 2 * SECOND;
        assertThat(before.part()).isEqualTo(ebb);
        Run early = before.until(due - SECOND).after(new Act.ByHand(new Event.Press(mute)));
        assertThat(early.until(due + 20 * SECOND).feet())
                .singleElement()
                .satisfies(foot -> assertThat(foot.lateMicros()).isBetween(-SECOND, -SECOND + 1000));
        Run late = before.until(due + SECOND);
        assertThat(late.wrongs())
                .singleElement()
                .satisfies(wrong -> assertThat(wrong.place().part()).hasToString("input-1"));
        Run done = late.after(new Act.ByHand(new Event.Press(mute))).until(due + 3 * SECOND);
        assertThat(done.wrongs()).isEmpty();
        assertThat(done.feet())
                .singleElement()
                .satisfies(foot -> assertThat(foot.lateMicros()).isBetween(SECOND - 1000, SECOND + 1000));
        Run never = before.until(due + 9 * SECOND);
        assertThat(never.feet())
                .singleElement()
                .satisfies(foot -> assertThat(foot.missed()).isTrue());
        assertThat(never.wrongs()).hasSize(1);
        assertThat(before.actual().value(never.wrongs().getFirst().place())).isZero();
    }
}
