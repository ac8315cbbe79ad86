package embrack.core.sim;

import embrack.core.plan.CompiledSwitch;
import embrack.core.plan.Compiler;
import embrack.core.plan.Plan;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
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
    private final Compiler compiler;
    private final Simulator simulator;

    public Prover(Plan plan) {
        this.plan = plan;
        this.compiler = new Compiler(plan);
        this.simulator = new Simulator(plan);
    }

    /** All switches that have steps, in order. */
    public List<Proof> all() {
        return plan.switches().assignments().stream().filter(a -> !a.steps().isEmpty()).map(this::prove).toList();
    }

    /** One switch that has steps. */
    public Proof prove(Assignment assignment) {
        CompiledSwitch compiled = compiler.compile(assignment);
        SortedSet<Place> targets = new TreeSet<>();
        assignment.steps().forEach(step -> targets.add(RigState.place(step.device(), step.action())));
        List<Trial> trials = Stream.of(RigState.poweredOn(plan.rig()), RigState.opposite(plan.rig()))
                .map(start -> trial(start, assignment, compiled)).toList();
        Pressed once = simulator.run(RigState.poweredOn(plan.rig()), compiled, 0);
        return new Proof(compiled, Judge.verdict(compiled, targets, trials, once.lastArrivalMicros()),
                targets, trials, once.trace(), once.lastArrivalMicros());
    }

    private Trial trial(RigState start, Assignment assignment, CompiledSwitch compiled) {
        List<Press> presses = new ArrayList<>();
        RigState ideal = start;
        RigState actual = start;
        for (int number = 1; number <= PRESSES; number++) {
            RigState before = actual;
            for (Step step : assignment.steps()) {
                ideal = ideal.after(plan.rig(), step.device(), List.of(step.action()));
            }
            actual = simulator.run(actual, compiled, 0).after();
            presses.add(new Press(number, before, ideal, actual));
        }
        return new Trial(start, presses);
    }
}
