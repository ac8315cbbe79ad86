package embrack.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/** Feet that are trained: only the presses, the hardest again until they sit, and what is kept of it all. */
class DrillTests {

    private static final DeviceId BOARD = new DeviceId("foot-board");
    private static final SwitchAt MUTE = new SwitchAt(BOARD, 1, 5);
    private static final SwitchAt PATCH = new SwitchAt(BOARD, 1, 9);
    private static final int EBB = 3;

    private static final Plan PLAN = Evening.sketch()
            .step("foot-board 5: vocal-mixer mute:input-1", "foot-board 9: guitar-sounds select:patch-2")
            .foot("ebb", "9|1", "foot-board 5")
            .foot("ebb", "12|1", "foot-board 9")
            .plan();

    private final Night night = Night.of(Report.of(PLAN));
    private final List<History.Done> acts = new ArrayList<>();
    private History history = History.of(Run.of(night, false));

    private void act(Act act) {
        acts.add(new History.Done(history.run().now(), act));
        history = history.after(act);
    }

    private void tap(SwitchAt at) {
        act(new Act.ByHand(new Event.Press(at)));
        act(new Act.ByHand(new Event.Release(at)));
    }

    private long due(SwitchAt at) {
        Run run = history.run();
        return run.coming().stream()
                .filter(coming -> coming.at().equals(at))
                .mapToLong(coming -> run.now() + coming.inMicros().orElseThrow())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theHardestAreMadeAgainUntilTheySit() {
        act(new Act.From(EBB, 8));
        long mute = due(MUTE);
        history = history.until(mute + 900_000);
        tap(MUTE);
        history = history.until(due(PATCH) + 50_000);
        tap(PATCH);
        Journal first = Journal.of(Run.of(night, false), acts, history.run().now());
        assertThat(first.score().presses())
                .extracting(Score.Scored::grade)
                .containsExactly(Score.Grade.LATE, Score.Grade.RIGHT);
        Drill drill = Drill.hardest(first.score(), 3).orElseThrow();
        assertThat(drill.targets()).singleElement().extracting(Drill.Target::at).isEqualTo(MUTE);
        // Bar 9, approached from two bars before it.
        assertThat(drill.from(night)).isEqualTo(new Act.From(EBB, 7));
        Score score = first.score();
        for (int byMillis : List.of(0, 700, 20, -30)) {
            act(drill.from(night));
            assertThat(drill.isDone(history.run())).isFalse();
            history = history.until(due(MUTE) + byMillis * 1_000L);
            tap(MUTE);
            assertThat(drill.isDone(history.run())).isFalse();
            history = history.until(history.run().now() + 2_000_000);
            assertThat(drill.isDone(history.run())).isTrue();
            score = Journal.of(Run.of(night, false), acts, history.run().now()).score();
            // Right, late, right, right: it sits after the last alone.
            assertThat(drill.next(score).isEmpty()).isEqualTo(byMillis == -30);
        }
        assertThat(score.presses())
                .filteredOn(scored -> scored.foot().at().equals(MUTE))
                .extracting(scored -> Math.round(scored.byMicros() / 1_000.0))
                .containsExactly(900L, 0L, 700L, 20L, -30L);
    }

    @Test
    void betweenThePressesTimeIsPassedOver() {
        act(new Act.From(EBB, 1));
        assertThat(due(MUTE) - history.run().nextPressMicros().orElseThrow()).isEqualTo(6_000_000);
        List<Long> waits = new ArrayList<>();
        while (!history.run().isOver()) {
            Run run = history.run();
            OptionalLong next = run.nextPressMicros();
            if (next.isPresent()) {
                history = history.until(next.getAsLong());
            } else {
                waits.add(run.now());
                history = history.until(run.now() + 500_000);
            }
            run.feet().stream()
                    .filter(Footfall::isOpen)
                    .filter(foot -> foot.due() <= run.now())
                    .findFirst()
                    .ifPresent(foot -> tap(foot.at()));
        }
        // All that the night asks for was asked, and it took far less than the night.
        assertThat(history.run().feet()).noneMatch(Footfall::isOpen).noneMatch(Footfall::missed);
        assertThat(history.run().feet()).extracting(Footfall::at).contains(MUTE, PATCH);
        assertThat(waits.size() * 500_000L).isLessThan(history.run().now() / 3);
        Journal journal = Journal.of(Run.of(night, false), acts, history.run().now());
        assertThat(journal.score()).isEqualTo(Score.of(history.run()));
        assertThat(journal.end()).isEqualTo(history.run());
    }

    @Test
    void whatWentWrongIsKeptWithWhenItWasRightAgain() {
        act(new Act.From(EBB, 8));
        tap(MUTE);
        long at = history.run().now();
        act(new Act.Struck(new Fault.Misstep(PATCH)));
        history = history.until(at + 3_000_000);
        act(new Act.Note("!"));
        long wrong = history.run().wrongs().getFirst().since();
        tap(new SwitchAt(BOARD, 1, 4));
        history = history.until(at + 60_000_000);
        Journal journal = Journal.of(Run.of(night, false), acts, history.run().now());
        assertThat(journal.rescues()).singleElement().satisfies(rescue -> {
            assertThat(rescue.part()).isEqualTo(EBB);
            assertThat(rescue.at()).isEqualTo(at);
            assertThat(rescue.wrongAt()).hasValue(wrong);
            // Righted when the plan itself presses that switch, or by another that chooses the patch: as the tape says.
            OptionalLong righted = journal.entries().stream()
                    .map(Journal.Entry::line)
                    .filter(line -> line.what() instanceof Line.Righted && line.at() > wrong)
                    .mapToLong(Line::at)
                    .max();
            assertThat(rescue.rightAt()).isEqualTo(righted);
        });
        assertThat(journal.entries()).extracting(entry -> entry.line().what()).contains(new Line.Marked("!"));
        assertThat(journal.entries()).extracting(entry -> entry.line().number()).isSorted();
    }

    @Test
    void whatIsDrawnIsAsLikelyAsItIsSaid() {
        var lots = new Lots(night, Rates.usual());
        List<Fault> drawn = LongStream.range(0, 2_000)
                .mapToObj(seed -> lots.likely(seed, EBB).orElseThrow())
                .toList();
        double all = LongStream.range(0, Rates.Sort.values().length)
                .mapToObj(i -> Rates.Sort.values()[(int) i])
                .filter(sort -> sort != Rates.Sort.OVERRUN)
                .mapToDouble(sort -> lots.expected(sort, 1))
                .sum();
        double missteps = lots.expected(Rates.Sort.MISSTEP, 1) / all;
        double boxes = lots.expected(Rates.Sort.BOX, 1) / all;
        // Within four times the standard error of so many draws.
        assertShare(drawn.stream().filter(Fault.Misstep.class::isInstance).count(), missteps);
        assertShare(drawn.stream().filter(Fault.BoxOut.class::isInstance).count(), boxes);
        assertThat(drawn).noneMatch(Fault.Overrun.class::isInstance);
        assertThat(lots.likely(7, EBB)).isEqualTo(lots.likely(7, EBB));
    }

    private static void assertShare(long count, double share) {
        double error = 4 * Math.sqrt(share * (1 - share) / 2_000);
        assertThat(count / 2_000.0).isBetween(share - error, share + error);
    }
}
