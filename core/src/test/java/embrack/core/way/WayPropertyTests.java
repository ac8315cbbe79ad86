package embrack.core.way;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.RandomRigs;
import embrack.core.check.Report;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.edit.WiringEdit;
import embrack.core.loss.Failure;
import embrack.core.loss.Loss;
import embrack.core.loss.SinglePoints;
import embrack.core.plan.Plan;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.World;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** What must hold of the ways through any rig; each search is held against another way to find the same. */
class WayPropertyTests {

    @Property(tries = 120)
    void waysHangTogetherAndTheShortestIsNoLongerThanAnyOther(
            @ForAll @IntRange(max = 100_000) int seed, @ForAll @IntRange(min = 2, max = 18) int boxes) {
        Rig rig = RandomRigs.of(seed, boxes).rig();
        Ways ways = new Ways(rig);
        for (Device sender : rig.devices()) {
            Map<DeviceId, SignalPath> nearest = ways.nearest(sender.id());
            for (Map.Entry<DeviceId, SignalPath> entry : nearest.entrySet()) {
                List<Hop> hops = entry.getValue().hops();
                assertThat(hops.getFirst().from().device()).isEqualTo(sender.id());
                assertThat(hops.getLast().arrivesAt()).isEqualTo(entry.getKey());
                for (int i = 1; i < hops.size(); i++) {
                    assertThat(hops.get(i).from().device())
                            .isEqualTo(hops.get(i - 1).arrivesAt());
                    assertThat(hops.get(i).filter().open()).isTrue();
                }
                assertThat(rig.links()).containsAll(entry.getValue().links());
                assertThat(ways.all(sender.id(), entry.getKey(), 1).getFirst().hops())
                        .hasSameSizeAs(hops);
            }
        }
    }

    /** Cutting where it is said ends every loop, one cut a loop, and a simulation ends even in a rig full of them. */
    @Property(tries = 120)
    void loopsEndWhereTheyAreCut(
            @ForAll @IntRange(max = 100_000) int seed, @ForAll @IntRange(min = 4, max = 20) int boxes) {
        Plan plan = RandomRigs.of(seed, boxes);
        Report.of(plan);
        for (int cuts = 0; ; cuts++) {
            Loops loops = new Loops(new Ways(plan.rig()));
            if (loops.all().isEmpty()) {
                break;
            }
            assertThat(cuts)
                    .as("cuts")
                    .isLessThan(RandomRigs.of(seed, boxes).rig().links().size());
            Link cut = loops.cut(loops.all().getFirst());
            assertThat(loops.all().getFirst().hops()).extracting(Hop::link).contains(cut);
            plan = new WiringEdit.Disconnect(cut.from(), cut.to()).apply(plan);
        }
        Plan straight = plan;
        for (CompiledSwitch compiled : new Compiler(straight).all()) {
            assertThat(new Engine(straight)
                            .settled(World.poweredOn(straight.rig()), new Event.Press(compiled.at()))
                            .trace())
                    .noneMatch(Happened.CameRound.class::isInstance);
        }
    }

    /**
     * The list of single points against the plain way to find them: take the link or the box away and compile again.
     */
    @Property(tries = 120)
    void singlePointsAreWhatCannotBeCompiledWithoutThem(
            @ForAll @IntRange(max = 100_000) int seed, @ForAll @IntRange(min = 3, max = 16) int boxes) {
        Plan plan = RandomRigs.of(seed, boxes);
        Set<SwitchAt> working = working(plan);
        for (Loss loss : SinglePoints.withSurvived(plan)) {
            Set<SwitchAt> left =
                    switch (loss.failure()) {
                        case Failure.LinkFails f ->
                            working(new WiringEdit.Disconnect(
                                            f.link().from(), f.link().to())
                                    .apply(plan));
                        case Failure.DeviceFails f ->
                            workingWithout(plan, new PowerPlan(plan.rig()).diesWith(f.device()));
                    };
            Set<SwitchAt> lost = new TreeSet<>(working);
            lost.removeAll(left);
            assertThat(new TreeSet<>(loss.switches()))
                    .as(loss.failure().words(plan.rig()))
                    .isEqualTo(lost);
        }
    }

    /** Where there is one way only, the engine arrives exactly when the worst time of the way says. */
    @Property(tries = 200)
    void theSimulatorArrivesAtTheWorstTimeOfTheWay(
            @ForAll @IntRange(max = 100_000) int seed, @ForAll @IntRange(min = 3, max = 14) int boxes) {
        Plan plan = RandomRigs.of(seed, boxes);
        Ways ways = new Ways(plan.rig());
        for (CompiledSwitch compiled : new Compiler(plan).all()) {
            if (compiled.isObstructed(List.of(Moment.PRESS)) || compiled.sent().size() != 1) {
                continue;
            }
            DeviceId receiver = compiled.allSteps().getFirst().step().device();
            List<SignalPath> all = ways.all(compiled.at().board(), receiver, 2);
            if (all.size() == 1) {
                Timing timing = new Timing(ways);
                long tail = timing.tail(receiver)
                        .map(share -> share.delay().worst())
                        .orElse(0L);
                long expected = Timing.total(timing.shares(all.getFirst(), compiled.bytes(), 0))
                                .worst()
                        - tail;
                Optional<Happened> arrived = new Engine(plan)
                        .settled(World.poweredOn(plan.rig()), new Event.Press(compiled.at())).trace().stream()
                                .filter(event -> event instanceof Happened.Arrived
                                        && event.socket().device().equals(receiver))
                                .findFirst();
                assertThat(arrived.map(Happened::atMicros))
                        .as(all.getFirst().words(plan.rig()))
                        .contains(expected);
            }
        }
    }

    private static Set<SwitchAt> working(Plan plan) {
        return new Compiler(plan)
                .all().stream()
                        .filter(compiled -> !compiled.isObstructed(List.of(Moment.PRESS)))
                        .map(CompiledSwitch::at)
                        .collect(Collectors.toCollection(TreeSet::new));
    }

    private static Set<SwitchAt> workingWithout(Plan plan, Set<DeviceId> dead) {
        Rig without = plan.rig();
        for (Link link : plan.rig().links()) {
            without = dead.contains(link.from().device())
                            || dead.contains(link.to().device())
                    ? without.withoutLink(link)
                    : without;
        }
        return working(plan.withRig(without)).stream()
                .filter(at -> !dead.contains(at.board())
                        && plan.switches().at(at).steps().stream().noneMatch(step -> dead.contains(step.device())))
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
