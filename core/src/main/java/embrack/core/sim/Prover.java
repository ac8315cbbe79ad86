package embrack.core.sim;

import embrack.core.compile.CompiledControl;
import embrack.core.compile.CompiledSwitch;
import embrack.core.midi.DataByte;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.proof.CueSent;
import embrack.core.proof.Seen;
import embrack.core.proof.Sendings;
import embrack.core.proof.Sent;
import embrack.core.proof.States;
import embrack.core.rig.DeviceId;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Duty;
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
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Proves switches: what each gesture does is held against what is meant, in every state that the rig can reach
 * ({@link States}), and its messages are timed. Treadles, faders and knobs are moved from heel to toe and back, from
 * two starts at opposite ends, and in each patch in which they move something.
 *
 * <p>Cost: for each gesture, its messages travel once; looking at it costs the states of what it depends on.
 */
public final class Prover {

    /**
     * The latest that a change may come, 30 ms after the press. Common practice, no source: later, people notice that
     * a mute or a look does not come with the foot.
     */
    public static final long LATEST_MICROS = 30_000;

    /** Where a movement is looked at, from heel to toe and back. */
    private static final List<Integer> POSITIONS = List.of(0, 32, 64, 96, 127, 64, 0);

    private final Plan plan;
    private final Ways ways;
    private final Sendings sendings;
    private final Engine engine;
    private final Places places;
    private final Deeds deeds;
    private final World start;
    private final States states;
    private final Map<Assignment, List<Proof>> known = new HashMap<>();

    public Prover(Plan plan) {
        this(plan, new Ways(plan.rig()));
    }

    /** A prover on ways that are worked out already. */
    public Prover(Plan plan, Ways ways) {
        this(plan, ways, new Sendings(plan, ways), Optional.empty());
    }

    /**
     * A prover of a plan that somebody edited.
     *
     * @param sendings what the plan sends
     * @param before of the plan before; what the edit does not touch is not proven again
     */
    public Prover(Plan plan, Ways ways, Sendings sendings, Optional<Prover> before) {
        this.plan = plan;
        this.ways = ways;
        this.sendings = sendings;
        this.engine = sendings.engine();
        this.places = new Places(plan.rig());
        this.deeds = new Deeds(plan.rig(), engine, places, new Timing(ways));
        this.start = World.poweredOn(places);
        Optional<Prover> same = before.filter(prover -> prover.plan
                        .switches()
                        .controlAssignments()
                        .equals(plan.switches().controlAssignments())
                && prover.plan.lights().held().equals(plan.lights().held()));
        this.states = new States(plan, sendings, places, same.map(prover -> prover.states));
        same.ifPresent(prover -> plan.switches().assignments().forEach(assignment -> {
            List<Proof> proofs = prover.known.getOrDefault(assignment, List.of());
            if (states.isKept(assignment) && !sendings.reachesAnyOtherwise(states.sent(assignment))) {
                known.put(assignment, proofs);
            }
        }));
    }

    /** The ways through the rig. */
    public Ways ways() {
        return ways;
    }

    /** What the plan sends. */
    public Sendings sendings() {
        return sendings;
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

    /** What cues do not do in some state, in whatever order they come. */
    public List<CueBreak> breaks() {
        Map<CueSent, Broken> broken = states.brokenCues();
        Map<CueSent, List<CueAt>> cues = new LinkedHashMap<>();
        for (Song song : broken.isEmpty() ? List.<Song>of() : plan.book().songs()) {
            plan.player(song).ifPresent(player -> {
                plan.book()
                        .always()
                        .forEach(cue -> cues.computeIfAbsent(CueSent.of(player, cue), k -> new ArrayList<>())
                                .add(CueAt.whole(song.id())));
                song.cues()
                        .forEach(cue -> cues.computeIfAbsent(CueSent.of(player, cue), k -> new ArrayList<>())
                                .add(new CueAt(song.id(), cue.number())));
            });
        }
        return broken.entrySet().stream()
                .map(each -> new CueBreak(each.getValue(), cues.getOrDefault(each.getKey(), List.of())))
                .toList();
    }

    /** The switches whose duty is to make safe or to stop all, each proven whole. */
    public List<MakeSafe> safety() {
        return plan.switches().assignments().stream()
                .filter(a -> a.isFor(Duty.SAFE) || a.isFor(Duty.KILL))
                .filter(a -> !a.steps(Moment.PRESS).isEmpty())
                .map(this::makeSafe)
                .toList();
    }

    private MakeSafe makeSafe(Assignment assignment) {
        List<Place> places = states.targets(assignment);
        States.Count count = states.count(places);
        Proof press = prove(assignment).stream()
                .filter(proof -> proof.moment() == Moment.PRESS)
                .findFirst()
                .orElseThrow();
        Optional<Broken> broken = press.seen().stream()
                .filter(seen -> places.contains(seen.place()))
                .flatMap(seen -> seen.broken().stream())
                .reduce((a, b) -> b.length() < a.length() ? b : a);
        Verdict whole = count.whole() ? Verdict.EXACT : Verdict.TRIED;
        return new MakeSafe(
                assignment.at(),
                places.size(),
                count.states(),
                count.whole(),
                broken.isPresent() || press.verdict() == Verdict.NO_WAY ? press.verdict() : whole,
                broken);
    }

    /** The gestures of one switch that have steps. */
    public List<Proof> prove(Assignment assignment) {
        if (assignment.steps().isEmpty()) {
            return List.of();
        }
        List<Proof> kept = known.getOrDefault(assignment, List.of());
        if (!kept.isEmpty() && states.isKept(assignment)) {
            return kept;
        }
        Sent.BySwitch sent = states.sent(assignment);
        List<Proof> proofs = Stream.of(Moment.PRESS, Moment.HOLD, Moment.DOUBLE_PRESS)
                .filter(gesture -> Proof.moments(gesture).stream()
                        .anyMatch(moment -> !assignment.steps(moment).isEmpty()))
                .map(gesture -> prove(assignment, sent, gesture))
                .toList();
        known.put(assignment, proofs);
        return proofs;
    }

    private Proof prove(Assignment assignment, Sent.BySwitch sent, Moment gesture) {
        CompiledSwitch compiled = sent.compiled();
        List<Moment> moments = Proof.moments(gesture);
        SortedSet<Place> targets = new TreeSet<>();
        moments.forEach(moment -> assignment.steps(moment).forEach(step -> addTargets(step, targets)));
        Map<Moment, Journey> byMoment = new EnumMap<>(Moment.class);
        long heldBack = gesture == Moment.PRESS ? compiled.heldBackMillis() * 1_000L : 0;
        moments.forEach(moment -> byMoment.put(
                moment, heldBack == 0 ? sent.journey(moment) : engine.journey(compiled, moment, heldBack)));
        if (gesture == Moment.HOLD && compiled.pressAlsoWhenHeld()) {
            around(sent, byMoment);
        }
        List<Seen> seen = states.of(assignment).stream()
                .filter(s -> moments.stream().anyMatch(s::isAt))
                .toList();
        Outcome once = engine.play(start, Objects.requireNonNull(byMoment.get(gesture)));
        Proof.Arrival last = arrival(compiled, gesture, once, byMoment);
        SortedSet<Place> wrong = new TreeSet<>();
        seen.stream().filter(s -> s.broken().isPresent()).forEach(s -> wrong.add(s.place()));
        Verdict verdict = compiled.isObstructed(moments)
                ? Verdict.NO_WAY
                : Judge.verdict(targets, wrong, seen, last.isLate(compiled));
        Optional<DeviceId> round = byMoment.values().stream()
                .flatMap(journey -> journey.cameRoundAt().stream())
                .findFirst();
        return new Proof(
                compiled,
                gesture,
                round.isEmpty() ? verdict : Judge.unknown(verdict),
                targets,
                wrong,
                seen,
                once.trace(),
                round,
                last);
    }

    /** What a board sends before and after a hold of which only the hold is meant. */
    private static void around(Sent.BySwitch sent, Map<Moment, Journey> byMoment) {
        for (Moment moment : Proof.moments(Moment.PRESS)) {
            byMoment.put(moment, sent.journey(moment));
        }
    }

    /** Of all moments of a gesture the one after which it takes longest until all is done; the first of equals. */
    private Proof.Arrival arrival(
            CompiledSwitch compiled, Moment gesture, Outcome once, Map<Moment, Journey> byMoment) {
        return Proof.moments(gesture).stream()
                .filter(moment -> moment == gesture
                        || !Objects.requireNonNull(byMoment.get(moment))
                                .deliveries()
                                .isEmpty())
                .map(moment -> new Proof.Arrival(
                        moment,
                        deeds.worstMicros(
                                moment == gesture
                                        ? once
                                        : engine.play(start, Objects.requireNonNull(byMoment.get(moment))))))
                .reduce((a, b) -> b.lateness(compiled) > a.lateness(compiled) ? b : a)
                .orElseThrow();
    }

    /** One treadle, fader or knob that moves a level. */
    public ControlProof prove(ControlAssignment controlAssignment) {
        CompiledControl compiled = sendings.of(controlAssignment).compiled();
        SortedSet<Place> targets = new TreeSet<>();
        controlAssignment.targets().forEach(target -> addTargets(step(target, 0), targets));
        List<Place> chosen = targets.stream()
                .flatMap(place -> places.within(place).stream())
                .distinct()
                .toList();
        List<Trial> trials = Stream.of(start, World.opposite(places))
                .flatMap(from -> Stream.concat(Stream.of(from), chosen.stream().map(place -> from.with(place, 1))))
                .map(from -> sweep(from, controlAssignment, compiled))
                .toList();
        SortedSet<Place> wrong = Trial.wrongPlaces(trials);
        List<Happened> trace =
                engine.play(start, engine.journey(compiled, DataByte.MAX)).trace();
        Verdict proven = compiled.isObstructed() ? Verdict.NO_WAY : Judge.steadyVerdict(targets, wrong, trials, false);
        Verdict verdict =
                engine.journey(compiled, DataByte.MAX).cameRoundAt().isPresent() ? Judge.unknown(proven) : proven;
        return new ControlProof(compiled, verdict, targets, wrong, trials, trace);
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
                    engine.journey(compiled, position));
            ideal = ideal.after(deed.meant());
            actual = deeds.done(actual, deed);
            presses.add(new Press(position, Moment.PRESS, before, ideal, actual));
        }
        return new Trial(start, presses);
    }

    private void addTargets(Step step, Collection<Place> targets) {
        targets.addAll(deeds.targets(List.of(step)));
    }

    /** Two provers are equal when they prove the same plan; what they remember follows from it. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Prover that && plan.equals(that.plan);
    }

    @Override
    public int hashCode() {
        return plan.hashCode();
    }
}
