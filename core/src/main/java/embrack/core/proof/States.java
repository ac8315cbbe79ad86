package embrack.core.proof;

import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.plan.Plan;
import embrack.core.rig.Rig;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Places;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What every gesture of a plan does in every state that its rig can reach. What is looked at is remembered, so that
 * what two gestures depend on alike is searched once.
 */
public final class States {

    /** Where a control is taken to be: at its ends, and between. */
    private static final List<Integer> POSITIONS = List.of(0, 64, 127);

    private final Machine machine;
    private final Map<SwitchAt, List<Transition>> gestures = new LinkedHashMap<>();

    /** The states of a plan, from power-on. */
    public States(Plan plan, Compiler compiler, Engine engine, Places places) {
        Rig rig = plan.rig();
        var variables = new Variables(World.poweredOn(places));
        var effects = new Effects(rig, engine, places, variables);
        var made = new Gestures(engine, effects, variables);
        machine = new Machine(variables, places);
        for (Assignment assignment : plan.switches().assignments()) {
            if (!assignment.steps().isEmpty()) {
                CompiledSwitch compiled = compiler.compile(assignment);
                List<Transition> own = made.of(assignment, compiled);
                gestures.put(assignment.at(), own);
                machine.add(own);
            }
        }
        for (ControlAssignment control : plan.switches().controlAssignments()) {
            var compiled = compiler.compile(control);
            for (int position : POSITIONS) {
                machine.add(List.of(new Transition(
                        new Doing.Moved(control.at(), position),
                        List.of(),
                        effects.arriving(engine.journey(compiled, position)),
                        effects.meant(List.of()),
                        List.of())));
            }
        }
    }

    /** What the gestures of a switch do, at each place that one of them changes or is meant to change. */
    public List<Seen> of(SwitchAt at) {
        List<Seen> seen = new ArrayList<>();
        for (Transition transition : gestures.getOrDefault(at, List.of())) {
            BitSet places = (BitSet) transition.touched().clone();
            places.or(transition.targets());
            places.stream()
                    .filter(machine::isPlace)
                    .forEach(place -> look(transition, place).ifPresent(seen::add));
            transition.needs().forEach(need -> look(transition, need).ifPresent(seen::add));
        }
        return seen;
    }

    private Optional<Seen> look(Transition transition, int place) {
        Live done = transition.done(place);
        Live wanted = transition.wanted(place);
        BitSet reads = reads(done, wanted);
        Doing.Foot gesture = (Doing.Foot) transition.doing();
        if (isAlike(done, wanted, reads, place)) {
            return Optional.of(new Seen(gesture, machine.place(place), true, true, false, 1, true, Optional.empty()));
        }
        reads.set(place);
        transition.guards().forEach(guard -> reads.set(guard.variable()));
        Reach reach = machine.reach(reads);
        return Optional.of(new Look(machine, transition, place, reach).seen());
    }

    private BitSet reads(Live done, Live wanted) {
        BitSet reads = machine.lasting(done.reads());
        reads.or(machine.lasting(wanted.reads()));
        return reads;
    }

    /** Whether what happens at a place is what is meant, however the rig stands: both are the same of the same. */
    private boolean isAlike(Live done, Live wanted, BitSet reads, int place) {
        if (done.effects().isEmpty() || wanted.effects().isEmpty()) {
            return false;
        }
        if (reads.isEmpty()) {
            return after(done, place, 0) == after(wanted, place, 0);
        }
        return reads.cardinality() == 1
                && reads.get(place)
                && machine.place(place).aspect().size() < 128
                && IntStream.range(0, machine.place(place).aspect().size())
                        .allMatch(value -> after(done, place, value) == after(wanted, place, value));
    }

    private int after(Live live, int place, int before) {
        int[] state = machine.scratch();
        state[place] = before;
        live.run(state);
        int after = state[place];
        live.clear(state);
        state[place] = 0;
        return after;
    }

    private Optional<Seen> look(Transition transition, Transition.Need need) {
        BitSet wanted = new BitSet();
        wanted.set(need.started());
        IntStream.of(need.by()).forEach(wanted::set);
        Live done = Live.of(transition.actual(), wanted);
        BitSet reads = machine.lasting(done.reads());
        transition.guards().forEach(guard -> reads.set(guard.variable()));
        Reach reach = machine.reach(reads);
        return Optional.of(Look.standing(machine, transition, need, done, reach));
    }
}
