package embrack.core.sim;

import embrack.core.plan.CompiledSwitch;
import embrack.core.plan.Compiler;
import embrack.core.plan.Plan;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.way.Timing;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Proves switches by differential simulation: the ideal rig, to which the steps are applied straight, against the
 * actual rig, which gets the messages. Each switch is pressed three times from two starts at opposite ends, so that
 * every part is seen in both of its states: a switch that opens what is open already has shown nothing.
 *
 * <p>Cost: for each switch, presses times starts times the messages of a press.
 */
public final class Prover {

    /** How often each switch is pressed: the second shows alternation, the third that it comes back. */
    public static final int PRESSES = 3;

    /**
     * The latest that a change may come, 30 ms after the press. Common practice, no source: later, people notice that
     * a mute or a look does not come with the foot.
     */
    public static final long LATEST_MICROS = 30_000;

    private final Plan plan;
    private final Timing timing;
    private final Compiler compiler;
    private final Simulator simulator;
    private final RigState poweredOn;
    private final RigState opposite;

    public Prover(Plan plan) {
        this(plan, new Ways(plan.rig()));
    }

    /** A prover on ways that are worked out already. */
    public Prover(Plan plan, Ways ways) {
        this.plan = plan;

        this.timing = new Timing(ways);
        this.compiler = new Compiler(plan, ways);
        this.simulator = new Simulator(plan, ways);
        this.poweredOn = RigState.poweredOn(plan.rig());
        this.opposite = RigState.opposite(plan.rig());
    }

    /** All switches that have steps, in order. */
    public List<Proof> all() {
        return plan.switches().assignments().stream().filter(a -> !a.steps().isEmpty()).map(this::prove).toList();
    }

    /** One switch that has steps. */
    public Proof prove(Assignment assignment) {
        CompiledSwitch compiled = compiler.compile(assignment);
        SortedSet<Place> targets = new TreeSet<>();
        assignment.steps().forEach(step -> {
            targets.add(RigState.place(step.device(), step.action()));
            plan.rig().standIn(step.device()).ifPresent(second -> targets.add(RigState.place(second, step.action())));
        });
        Journey journey = simulator.journey(compiled, 0);
        List<Trial> trials = Stream.of(poweredOn, opposite)
                .map(start -> trial(start, assignment, journey)).toList();
        Pressed once = simulator.play(poweredOn, journey);
        long worst = worstMicros(once);
        SortedSet<Place> wrong = Trial.wrongPlaces(trials);
        return new Proof(compiled, Judge.verdict(compiled, targets, wrong, trials, worst), targets, wrong, trials, once.trace(), worst);
    }

    /** When the last message that does something has done it, with what its box still waits for. */
    private long worstMicros(Pressed pressed) {
        return Math.max(pressed.lastArrivalMicros(), pressed.trace().stream()
                .filter(event -> event instanceof Event.Arrived arrived && arrived.reading() instanceof Reading.Acts)
                .mapToLong(event -> event.atMicros() + timing.tail(event.socket().device()).map(t -> t.delay().worst()).orElse(0L)).max().orElse(0));
    }

    /** A step is meant for its device and for the one that stands in for it. */
    private RigState meant(RigState state, Step step) {
        RigState after = state.after(plan.rig(), step.device(), List.of(step.action()));
        return plan.rig().standIn(step.device()).map(second -> after.after(plan.rig(), second, List.of(step.action()))).orElse(after);
    }

    private Trial trial(RigState start, Assignment assignment, Journey journey) {
        List<Press> presses = new ArrayList<>();
        RigState ideal = start;
        RigState actual = start;
        for (int number = 1; number <= PRESSES; number++) {
            RigState before = actual;
            for (Step step : assignment.steps()) {
                ideal = meant(ideal, step);
            }
            actual = simulator.play(actual, journey).after();
            presses.add(new Press(number, before, ideal, actual));
        }
        return new Trial(start, presses);
    }
}
