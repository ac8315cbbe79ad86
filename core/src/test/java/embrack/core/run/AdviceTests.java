package embrack.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.SortedSet;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** What is advised is held against all that could be done, tried one after the other with nothing left out. */
class AdviceTests {

    private static final long SECOND = 1_000_000;

    /** A song with many switches, some of which do two things at once, and one that turns something round. */
    private static Plan plan() {
        return Evening.sketch()
                .step(
                        "foot-board 1: vocal-mixer mute:input-1",
                        "foot-board 2: vocal-mixer open:input-1",
                        "foot-board 5: vocal-mixer mute:input-2",
                        "foot-board 6: vocal-mixer open:input-1",
                        "foot-board 6: vocal-mixer open:input-2",
                        "foot-board 7: lantern-desk recall:scene-3",
                        "foot-board 8: guitar-sounds select:patch-1",
                        "foot-board 9: guitar-sounds select:patch-2")
                .plan();
    }

    /** The fewest acts, and of as few the quickest, that leave nothing wrong; empty where three do not. */
    private static Optional<List<Long>> plainly(Run run) {
        Engine engine = run.night().engine();
        List<SwitchAt> switches = run.night().plan().switches().assignments().stream()
                .map(assignment -> assignment.at())
                .toList();
        World ideal = engine.untilQuiet(run.ideal()).after();
        record State(World meant, World world, long cost) {}
        List<State> states =
                List.of(new State(ideal, engine.untilQuiet(run.actual()).after(), 0));
        for (int acts = 0; acts <= Advice.MOST; acts++) {
            Optional<Long> quickest = states.stream()
                    .filter(state -> wrong(ideal, state.world()).isEmpty()
                            && wrong(ideal, state.meant()).isEmpty())
                    .map(State::cost)
                    .min(Long::compare);
            if (quickest.isPresent()) {
                return Optional.of(List.of((long) acts, quickest.get()));
            }
            List<State> next = new ArrayList<>();
            for (State state : acts == Advice.MOST ? List.<State>of() : states) {
                for (SwitchAt at : switches) {
                    next.add(new State(
                            run.night().pressed(state.meant(), at),
                            engine.tap(state.world(), at).after(),
                            state.cost() + Advice.PRESS_MICROS));
                }
                for (var link : state.world().linksOut()) {
                    next.add(new State(
                            state.meant(),
                            engine.settled(state.world(), new Event.LinkBack(link))
                                    .after(),
                            state.cost() + Advice.PLUG_MICROS));
                }
            }
            states = next;
        }
        return Optional.empty();
    }

    private static SortedSet<Place> wrong(World ideal, World actual) {
        return ideal.differences(actual);
    }

    @Property(tries = 12)
    void whatIsAdvisedIsTheBestThatAPlainSearchFinds(@ForAll @IntRange(max = 1_000_000) int seed) {
        var random = new Random(seed);
        Plan plan = plan();
        Night night = Night.of(Report.of(plan));
        Run run = Run.at(night, 1, 2 + random.nextInt(10), true);
        var links = plan.rig().links();
        var assignments = plan.switches().assignments();
        run = run.after(new Act.Struck(new Fault.LinkOut(links.get(random.nextInt(links.size())), 0)));
        for (int i = 0; i < 2; i++) {
            run = run.after(new Act.Struck(new Fault.Misstep(
                            assignments.get(random.nextInt(assignments.size())).at())))
                    .until(run.now() + 2 * SECOND);
        }
        run = run.until(run.now() + random.nextInt(40) * SECOND);
        Assume.that(!run.wrongs().isEmpty() && run.silentSince().isEmpty());
        Optional<Advice> advice = Advice.of(run);
        Optional<List<Long>> plainly = plainly(run);
        assertThat(advice.filter(Advice::isWhole)
                        .map(a -> List.of((long) a.acts().size(), a.micros())))
                .isEqualTo(plainly);
        Run after = run;
        for (Act act : advice.filter(Advice::isWhole).map(Advice::acts).orElse(List.of())) {
            after = after.after(act).until(after.now() + SECOND);
        }
        if (plainly.isPresent()) {
            assertThat(after.wrongs()).isEmpty();
        }
    }
}
