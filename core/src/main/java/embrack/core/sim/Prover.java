package embrack.core.sim;

import embrack.core.compile.CompiledControl;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.DataByte;
import embrack.core.midi.Wire;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.Target;
import embrack.core.way.Timing;
import embrack.core.way.Ways;
import embrack.core.world.Engine;
import embrack.core.world.Happened;
import embrack.core.world.Journey;
import embrack.core.world.Outcome;
import embrack.core.world.Place;
import embrack.core.world.Places;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Proves switches by differential simulation: the ideal rig, to which the steps are applied straight, against the
 * actual rig, which gets the messages. Each gesture is made three times from two starts at opposite ends, so that
 * every part is seen in both of its states: a switch that opens what is open already has shown nothing. One that
 * alternates begins at either of its sides. A press is a
 * press with its release; a hold and a double press are taken to send theirs and nothing else.
 *
 * <p>Cost: for each gesture, its messages travel once; reading them costs presses times starts times messages that mean
 * something to a box.
 */
public final class Prover {

    /** How often each gesture is made: the second shows alternation, the third that it comes back. */
    public static final int PRESSES = 3;

    /**
     * The latest that a change may come, 30 ms after the press. Common practice, no source: later, people notice that
     * a mute or a look does not come with the foot.
     */
    public static final long LATEST_MICROS = 30_000;

    /** Where a movement is looked at, from heel to toe and back. */
    private static final List<Integer> POSITIONS = List.of(0, 32, 64, 96, 127, 64, 0);

    private final Plan plan;
    private final Compiler compiler;
    private final Engine engine;
    private final Places places;
    private final Deeds deeds;
    private final List<World> starts;

    public Prover(Plan plan) {
        this(plan, new Ways(plan.rig()));
    }

    /** A prover on ways that are worked out already. */
    public Prover(Plan plan, Ways ways) {
        this.plan = plan;
        this.compiler = new Compiler(plan, ways);
        this.engine = new Engine(plan, ways);
        this.places = new Places(plan.rig());
        this.deeds = new Deeds(plan.rig(), engine, places, new Timing(ways));
        this.starts = List.of(World.poweredOn(places), World.opposite(places));
    }

    /** All gestures that have steps, in order. */
    public List<Proof> all() {
        return plan.switches().assignments().stream()
                .filter(a -> !a.steps().isEmpty())
                .flatMap(a -> prove(a).stream())
                .toList();
    }

    /** All treadles, faders and knobs that move a level, in order. */
    public List<ControlProof> controlAssignments() {
        return plan.switches().controlAssignments().stream()
                .filter(t -> !t.targets().isEmpty())
                .map(this::prove)
                .toList();
    }

    /** The gestures of one switch that have steps. */
    public List<Proof> prove(Assignment assignment) {
        CompiledSwitch compiled = compiler.compile(assignment);
        return Stream.of(Moment.PRESS, Moment.HOLD, Moment.DOUBLE_PRESS)
                .filter(gesture -> Proof.moments(gesture).stream()
                        .anyMatch(moment -> !assignment.steps(moment).isEmpty()))
                .map(gesture -> prove(assignment, compiled, gesture))
                .toList();
    }

    private Proof prove(Assignment assignment, CompiledSwitch compiled, Moment gesture) {
        List<Moment> moments = Proof.moments(gesture);
        SortedSet<Place> targets = new TreeSet<>();
        moments.forEach(moment -> assignment.steps(moment).forEach(step -> addTargets(step, targets)));
        Map<Moment, Deed> byMoment = new EnumMap<>(Moment.class);
        long heldBack = gesture == Moment.PRESS ? compiled.heldBackMillis() * 1_000L : 0;
        moments.forEach(moment ->
                byMoment.put(moment, deeds.of(assignment.steps(moment), engine.journey(compiled, moment, heldBack))));
        if (gesture == Moment.HOLD && compiled.pressAlsoWhenHeld()) {
            around(compiled, byMoment);
        }
        List<Trial> trials = starts(compiled, byMoment)
                .map(start -> trial(start, compiled, gesture, byMoment))
                .toList();
        Outcome once = engine.play(
                starts.getFirst(), Objects.requireNonNull(byMoment.get(gesture)).journey());
        Proof.Arrival last = arrival(compiled, gesture, once, byMoment);
        SortedSet<Place> wrong = Trial.wrongPlaces(trials);
        Verdict verdict = compiled.isObstructed(moments)
                ? Verdict.NO_WAY
                : Judge.verdict(targets, wrong, trials, last.isLate(compiled));
        Optional<DeviceId> round = byMoment.values().stream()
                .flatMap(deed -> deed.journey().cameRoundAt().stream())
                .findFirst();
        return new Proof(
                compiled,
                gesture,
                round.isEmpty() ? verdict : Judge.unknown(verdict),
                targets,
                wrong,
                trials,
                once.trace(),
                round,
                last);
    }

    /** What a board sends before and after a hold of which only the hold is meant. */
    private void around(CompiledSwitch compiled, Map<Moment, Deed> byMoment) {
        for (Moment moment : Proof.moments(Moment.PRESS)) {
            byMoment.put(moment, deeds.of(List.of(), engine.journey(compiled, moment, 0)));
        }
    }

    /** Both ends, and of a switch that alternates each of them at either side: it may have been pressed before. */
    private Stream<World> starts(CompiledSwitch compiled, Map<Moment, Deed> byMoment) {
        boolean alternates = byMoment.containsKey(Moment.AGAIN) && compiled.mode() == SwitchMode.ALTERNATING;
        return alternates
                ? Stream.concat(starts.stream(), starts.stream().map(start -> start.turning(compiled.at())))
                : starts.stream();
    }

    private static Deed deed(Map<Moment, Deed> byMoment, Moment moment) {
        return Objects.requireNonNull(byMoment.get(moment));
    }

    /** Of all moments of a gesture the one after which it takes longest until all is done; the first of equals. */
    private Proof.Arrival arrival(CompiledSwitch compiled, Moment gesture, Outcome once, Map<Moment, Deed> byMoment) {
        return Proof.moments(gesture).stream()
                .filter(moment -> moment == gesture || !deed(byMoment, moment).isNothing())
                .map(moment -> new Proof.Arrival(
                        moment,
                        deeds.worstMicros(
                                moment == gesture
                                        ? once
                                        : engine.play(
                                                starts.getFirst(),
                                                deed(byMoment, moment).journey()))))
                .reduce((a, b) -> b.lateness(compiled) > a.lateness(compiled) ? b : a)
                .orElseThrow();
    }

    /** One treadle, fader or knob that moves a level. */
    public ControlProof prove(ControlAssignment controlAssignment) {
        CompiledControl compiled = compiler.compile(controlAssignment);
        SortedSet<Place> targets = new TreeSet<>();
        controlAssignment.targets().forEach(target -> addTargets(step(target, 0), targets));
        List<Trial> trials = starts.stream()
                .map(start -> sweep(start, controlAssignment, compiled))
                .toList();
        SortedSet<Place> wrong = Trial.wrongPlaces(trials);
        List<Happened> trace =
                engine.play(starts.getFirst(), journey(compiled, DataByte.MAX)).trace();
        Verdict proven = compiled.isObstructed() ? Verdict.NO_WAY : Judge.steadyVerdict(targets, wrong, trials, false);
        Verdict verdict = journey(compiled, DataByte.MAX).cameRoundAt().isPresent() ? Judge.unknown(proven) : proven;
        return new ControlProof(compiled, verdict, targets, wrong, trials, trace);
    }

    private Journey journey(CompiledControl compiled, int position) {
        return engine.journey(
                compiled.controlAssignment().at().box(), compiled.sendings(position), Wire.RunningStatus.NOT_USED, 0);
    }

    private static Step step(Target target, int position) {
        return new Step(target.device(), target.at(position));
    }

    private Trial sweep(World start, ControlAssignment controlAssignment, CompiledControl compiled) {
        List<Press> presses = new ArrayList<>();
        World ideal = start;
        World actual = start;
        for (int position : POSITIONS) {
            World before = actual;
            Deed deed = deeds.of(
                    controlAssignment.targets().stream()
                            .map(target -> step(target, position))
                            .toList(),
                    journey(compiled, position));
            ideal = ideal.after(deed.meant());
            actual = deeds.done(actual, deed);
            presses.add(new Press(position, Moment.PRESS, before, ideal, actual));
        }
        return new Trial(start, presses);
    }

    private void addTargets(Step step, Collection<Place> targets) {
        targets.addAll(deeds.targets(List.of(step)));
    }

    private Trial trial(World start, CompiledSwitch compiled, Moment gesture, Map<Moment, Deed> byMoment) {
        List<Press> presses = new ArrayList<>();
        Deed press = Objects.requireNonNull(byMoment.get(gesture));
        Deed again = byMoment.getOrDefault(Moment.AGAIN, press);
        Deed release = byMoment.getOrDefault(Moment.RELEASE, press);
        boolean pressBefore = gesture != Moment.PRESS && byMoment.containsKey(Moment.PRESS);
        boolean released = (gesture == Moment.PRESS || pressBefore) && !release.isNothing();
        boolean alternates = (gesture == Moment.PRESS || pressBefore) && compiled.mode() == SwitchMode.ALTERNATING;
        World ideal = start;
        World actual = start;
        for (int number = 1; number <= PRESSES; number++) {
            boolean second = alternates && actual.isTurned(compiled.at());
            World before = actual;
            actual = alternates ? actual.turning(compiled.at()) : actual;
            Deed down = second ? again : byMoment.getOrDefault(Moment.PRESS, press);
            Deed meant = pressBefore ? press : down;
            ideal = ideal.after((meant.meant().isEmpty() ? press : meant).meant());
            actual = deeds.done(actual, down);
            actual = pressBefore ? deeds.done(actual, press) : actual;
            presses.add(new Press(number, second ? Moment.AGAIN : gesture, before, ideal, actual));
            if (released) {
                World held = actual;
                ideal = ideal.after(release.meant());
                actual = deeds.done(actual, release);
                presses.add(new Press(number, Moment.RELEASE, held, ideal, actual));
            }
        }
        return new Trial(start, presses);
    }
}
