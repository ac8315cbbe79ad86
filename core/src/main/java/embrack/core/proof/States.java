package embrack.core.proof;

import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Moment;
import embrack.core.world.Place;
import embrack.core.world.Places;
import embrack.core.world.World;
import java.math.BigInteger;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * What every gesture of a plan does in every state that its rig can reach. What is looked at is remembered, so that
 * what two gestures depend on alike is searched once.
 */
public final class States {

    private final Variables variables;
    private final Machine machine;
    private final Map<Assignment, Own> own = new LinkedHashMap<>();
    private final Map<CueSent, OwnCue> cues = new LinkedHashMap<>();
    private final Map<ControlAssignment, OwnControl> controls = new HashMap<>();
    private final Map<Collection<Place>, Counted> counts = new HashMap<>();
    private final BitSet changed = new BitSet();

    /**
     * What is known of a switch.
     *
     * @param depends what decides about it; empty until it was looked at
     */
    private record Own(
            Sent.BySwitch sent, List<Transition> gestures, List<Seen> seen, BitSet depends, boolean looked) {}

    /**
     * What is known of a cue, and of all that send the same.
     *
     * @param seen what it does; empty until it was looked at
     * @param depends what decides about it
     */
    private record OwnCue(Sent.ByCue sent, Transition transition, List<Seen> seen, BitSet depends, boolean looked) {

        OwnCue(Sent.ByCue sent, Transition transition) {
            this(sent, transition, List.of(), new BitSet(), false);
        }
    }

    /** In how many states places can be together, and what decides about it. */
    private record Counted(Count count, BitSet depends) {}

    /** What is known of a control, one gesture for each position. */
    private record OwnControl(Sent.ByControl sent, List<Transition> gestures) {}

    /** The states of a plan, from power-on. */
    public States(Plan plan, Sendings sendings, Places places) {
        this(plan, sendings, places, Optional.empty());
    }

    /**
     * The states of a plan that somebody edited.
     *
     * @param before the states of the plan before; what the edit does not decide about is kept
     */
    public States(Plan plan, Sendings sendings, Places places, Optional<States> before) {
        World start = World.poweredOn(places);
        variables =
                before.map(states -> states.variables.on(places, start)).orElseGet(() -> new Variables(places, start));
        for (DeviceId box : before.isPresent() ? sendings.change().boxes() : Set.<DeviceId>of()) {
            changed.or(before.get().variables.of(box));
            changed.or(variables.of(box));
        }
        var effects = new Effects(plan, sendings.engine(), places, variables);
        var made = new Gestures(effects, variables);
        machine = new Machine(variables, places);
        for (Assignment assignment : plan.switches().assignments()) {
            if (!assignment.steps().isEmpty()) {
                Sent.BySwitch sent = sendings.of(assignment);
                Own known = before.map(states -> states.own.get(assignment))
                        .filter(old -> old.sent == sent)
                        .orElseGet(() -> {
                            List<Transition> gestures = made.of(assignment, sent);
                            touch(gestures);
                            return new Own(sent, gestures, List.of(), new BitSet(), false);
                        });
                own.put(assignment, known);
                machine.add(known.gestures);
            }
        }
        before.ifPresent(states -> states.own.forEach((assignment, old) -> {
            Own now = own.get(assignment);
            if (now == null || now.sent != old.sent) {
                touch(old.gestures);
            }
        }));
        addCues(new CueGestures(plan, effects), sendings, before);
        machine.add(byHand(places));
        addControls(plan.switches().controlAssignments(), sendings, effects, before);
        before.ifPresent(states -> states.counts.forEach((together, old) -> {
            if (!old.depends.intersects(changed)) {
                counts.put(together, old);
            }
        }));
    }

    /** An edit brought or took gestures. */
    private void touch(List<Transition> gestures) {
        gestures.forEach(gesture -> changed.or(gesture.touched()));
    }

    private void addCues(CueGestures made, Sendings sendings, Optional<States> before) {
        made.sent().forEach((cue, first) -> {
            Sent.ByCue sent = sendings.of(cue);
            OwnCue now = before.map(states -> states.cues.get(cue))
                    .filter(old -> old.sent == sent && old.transition.doing().equals(first))
                    .orElseGet(() -> {
                        Transition transition = made.transition(cue, sent, first);
                        touch(List.of(transition));
                        return new OwnCue(sent, transition);
                    });
            cues.put(cue, now);
            machine.add(List.of(now.transition));
        });
        before.ifPresent(states -> states.cues.forEach((cue, old) -> {
            OwnCue now = cues.get(cue);
            if (now == null || now.sent != old.sent) {
                touch(List.of(old.transition));
            }
        }));
    }

    private void addControls(
            List<ControlAssignment> assignments, Sendings sendings, Effects effects, Optional<States> before) {
        for (ControlAssignment control : assignments) {
            Sent.ByControl sent = sendings.of(control);
            OwnControl now = before.map(states -> states.controls.get(control))
                    .filter(old -> old.sent == sent)
                    .orElseGet(() -> {
                        List<Transition> gestures = sent.byPosition().entrySet().stream()
                                .map(moved -> new Transition(
                                        new Doing.Moved(control.at(), moved.getKey()),
                                        List.of(),
                                        effects.arriving(moved.getValue()),
                                        effects.meant(List.of()),
                                        List.of()))
                                .toList();
                        touch(gestures);
                        return new OwnControl(sent, gestures);
                    });
            controls.put(control, now);
            machine.add(now.gestures);
        }
        before.ifPresent(states -> states.controls.forEach((control, old) -> {
            OwnControl now = controls.get(control);
            if (now == null || now.sent != old.sent) {
                touch(old.gestures);
            }
        }));
    }

    /** What hands may set at boxes. */
    private List<Transition> byHand(Places places) {
        return IntStream.range(0, places.devices())
                .mapToObj(places::of)
                .flatMap(List::stream)
                .filter(places::isWorkedByHand)
                .flatMap(place -> place.aspect().ends().stream().map(value -> set(places, place, value)))
                .toList();
    }

    private Transition set(Places places, Place place, int value) {
        List<Effect> effects = new ArrayList<>();
        if (value != 0) {
            places.besides(place).forEach(other -> effects.add(new Effect.Write(variables.number(other), 0)));
        }
        effects.add(new Effect.Write(variables.number(place), value));
        return new Transition(new Doing.ByHand(place, value), List.of(), effects, List.of(), List.of());
    }

    /** What a switch sends that has steps. */
    public Sent.BySwitch sent(Assignment assignment) {
        return known(assignment).sent;
    }

    private Own known(Assignment assignment) {
        return Objects.requireNonNull(own.get(assignment), () -> assignment.at() + " has no steps");
    }

    /** Whether no edit since the states before these decides about a switch. */
    public boolean isKept(Assignment assignment) {
        Own known = own.get(assignment);
        return known != null && known.looked && !known.depends.intersects(changed);
    }

    /** What the gestures of a switch do, at each place that one of them changes or is meant to change. */
    public List<Seen> of(Assignment assignment) {
        Own known = known(assignment);
        if (isKept(assignment)) {
            return known.seen;
        }
        List<Seen> seen = new ArrayList<>();
        BitSet depends = new BitSet();
        for (Transition transition : known.gestures) {
            depends.or(transition.touched());
            seen.addAll(looks(transition, depends, machine::isPlace));
            transition.needs().forEach(need -> look(transition, need, depends).ifPresent(seen::add));
        }
        own.put(assignment, new Own(known.sent, known.gestures, List.copyOf(seen), depends, true));
        return seen;
    }

    /**
     * The shortest story in which each cue does not do what is meant, of those that send states. What one turns round
     * depends on where the show is, and of messages as they are nobody knows what is meant: there is no story of these.
     */
    public Map<CueSent, Broken> brokenCues() {
        Map<CueSent, Broken> broken = new LinkedHashMap<>();
        cues.keySet().stream()
                .filter(cue -> !cue.steps().isEmpty())
                .forEach(cue -> of(cue).stream()
                        .flatMap(seen -> seen.broken().stream())
                        .reduce((a, b) -> b.length() < a.length() ? b : a)
                        .ifPresent(story -> broken.put(cue, story)));
        return broken;
    }

    /** What a gesture does at each of some places; not at those that are right wherever another one is, which is. */
    private List<Seen> looks(Transition transition, BitSet depends, IntPredicate which) {
        List<Seen> seen = new ArrayList<>();
        BitSet right = new BitSet();
        BitSet places = both(transition.touched(), transition.targets());
        for (int pass = 0; pass < 2; pass++) {
            for (int place = places.nextSetBit(0); place >= 0; place = places.nextSetBit(place + 1)) {
                OptionalInt other = transition.goesAlongWith(place);
                if (other.isPresent() == (pass == 1)
                        && !(other.isPresent() && right.get(other.getAsInt()))
                        && which.test(place)) {
                    Optional<Seen> one = look(transition, place, depends);
                    one.ifPresent(seen::add);
                    right.set(
                            place,
                            one.map(s -> s.whole() && s.broken().isEmpty()).orElse(true));
                }
            }
        }
        return seen;
    }

    private static BitSet both(BitSet some, BitSet others) {
        BitSet both = (BitSet) some.clone();
        both.or(others);
        return both;
    }

    /** What a cue does at each place that it changes or is meant to change, unless it turns it round. */
    public List<Seen> of(CueSent cue) {
        OwnCue known = Objects.requireNonNull(cues.get(cue), () -> cue + " is not sent");
        if (known.looked && !known.depends.intersects(changed)) {
            return known.seen;
        }
        Transition transition = known.transition;
        BitSet depends = (BitSet) transition.touched().clone();
        List<Seen> seen = looks(
                transition,
                depends,
                place -> machine.isPlace(place) && (variables.get(place).isFresh() || !transition.turns(place)));
        cues.put(cue, new OwnCue(known.sent, transition, seen, depends, true));
        return seen;
    }

    /** All places that a press of a switch is meant to change, those that it puts out among them. */
    public List<Place> targets(Assignment assignment) {
        return known(assignment).gestures.stream()
                .filter(gesture -> ((Doing.Foot) gesture.doing()).moment() == Moment.PRESS)
                .flatMap(gesture -> gesture.targets().stream()
                        .filter(target -> !variables.get(target).isFresh())
                        .mapToObj(machine::place))
                .distinct()
                .toList();
    }

    /** How many states places can be in together, and whether all of them were looked at. */
    public record Count(BigInteger states, boolean whole) {}

    /** In how many states places can be together: what depends on nothing in common is multiplied. */
    public Count count(Collection<Place> places) {
        return counts.computeIfAbsent(List.copyOf(places), this::counted).count;
    }

    private Counted counted(Collection<Place> places) {
        List<BitSet> cones = new ArrayList<>();
        for (Place place : places) {
            BitSet cone = new BitSet();
            cone.set(variables.number(place));
            cone.or(machine.reach(cone).cone());
            for (BitSet other : List.copyOf(cones)) {
                if (other.intersects(cone)) {
                    cone.or(other);
                    cones.remove(other);
                }
            }
            cones.add(cone);
        }
        BitSet depends = new BitSet();
        BigInteger states = BigInteger.ONE;
        boolean whole = true;
        for (BitSet cone : cones) {
            Reach reach = machine.reach(cone);
            states = states.multiply(BigInteger.valueOf(reach.size()));
            whole &= reach.isWhole();
            depends.or(cone);
        }
        return new Counted(new Count(states, whole), depends);
    }

    private Optional<Seen> look(Transition transition, int place, BitSet depends) {
        if (transition.settlesAsMeant(place)) {
            return transition.isAbout(place)
                    ? Optional.of(Seen.always(transition.doing(), machine.place(place)))
                    : Optional.empty();
        }
        Live done = transition.done(place);
        Live wanted = transition.wanted(place);
        depends.or(done.reads());
        depends.or(wanted.reads());
        BitSet reads = reads(done, wanted);
        if (done.reads().get(place) || wanted.reads().get(place)) {
            reads.set(place);
        }
        Doing gesture = transition.doing();
        if (isAlike(done, wanted, reads, place)) {
            boolean moves = IntStream.range(0, machine.place(place).aspect().size())
                    .anyMatch(value -> after(done, place, value) != value);
            return Optional.of(
                    moves ? Seen.always(gesture, machine.place(place)) : Seen.never(gesture, machine.place(place)));
        }
        reads.set(place);
        transition.guards().forEach(guard -> reads.set(guard.variable()));
        Reach reach = machine.reach(reads);
        depends.or(reach.depends());
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

    private Optional<Seen> look(Transition transition, Transition.Need need, BitSet depends) {
        BitSet wanted = new BitSet();
        wanted.set(need.started());
        IntStream.of(need.by()).forEach(wanted::set);
        IntStream.of(need.unless()).forEach(wanted::set);
        Live done = Live.of(transition.actual(), wanted);
        depends.or(done.reads());
        BitSet reads = machine.lasting(done.reads());
        transition.guards().forEach(guard -> reads.set(guard.variable()));
        Reach reach = machine.reach(reads);
        depends.or(reach.depends());
        return Optional.of(Look.standing(machine, transition, need, done, reach));
    }
}
