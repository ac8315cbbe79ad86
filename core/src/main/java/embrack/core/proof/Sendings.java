package embrack.core.proof;

import embrack.core.compile.CompiledControl;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Moment;
import embrack.core.way.RigChange;
import embrack.core.way.Ways;
import embrack.core.world.Engine;
import embrack.core.world.Hearing;
import embrack.core.world.Journey;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * What the switches, cues and controls of a plan send and where that goes, each worked out once. After an edit, what
 * it leaves alone is the very same again: it is sent the same, goes the same way in the same time, and no box that it
 * means or reaches takes it otherwise. So whoever worked something out of it may keep that.
 */
public final class Sendings {

    /** Where a control is taken to be: at its ends, and between. */
    private static final List<Integer> POSITIONS = List.of(0, 64, 127);

    private final Ways ways;
    private final Compiler compiler;
    private final Engine engine;
    private final RigChange change;
    private final Map<DeviceId, Hearing> heardBefore = new HashMap<>();
    private final Map<Object, Sent> known = new HashMap<>();
    private final Map<Object, Sent> before = new HashMap<>();

    /** All that a plan sends. */
    public Sendings(Plan plan, Ways ways) {
        this(plan, ways, Optional.empty());
    }

    /**
     * All that a plan sends that somebody edited.
     *
     * @param old what the plan before sent
     */
    public Sendings(Plan plan, Ways ways, Optional<Sendings> old) {
        this.ways = ways;
        this.compiler = new Compiler(plan, ways);
        this.engine = new Engine(plan, ways);
        this.change = new RigChange(old.map(sendings -> sendings.ways).orElse(ways), ways);
        change.boxes().stream()
                .filter(change::hearsOtherwise)
                .forEach(box ->
                        heardBefore.put(box, Hearing.of(old.orElseThrow().ways.rig(), box)));
        old.ifPresent(sendings -> Stream.of(sendings.before, sendings.known)
                .forEach(all -> all.forEach((what, sent) -> {
                    if (isTouched(sent)) {
                        before.put(what, sent);
                    } else {
                        known.put(what, sent);
                    }
                })));
    }

    /** What differs between the rig of the plan before and this one. */
    public RigChange change() {
        return change;
    }

    /** The engine of the plan. */
    public Engine engine() {
        return engine;
    }

    /** Whether an edit may have changed it, so that it has to be worked out anew to know. */
    private boolean isTouched(Sent sent) {
        return change.isUpstream(sent.sender())
                || sent.isObstructed() && !change.isNone()
                || sent.meantFor().anyMatch(change.boxes()::contains)
                || isTakenOtherwise(sent);
    }

    /** Whether a box that it means or reaches is otherwise, or does otherwise with it. */
    private boolean isMetOtherwise(Sent sent) {
        return sent.meantFor().anyMatch(change.boxes()::contains)
                || sent.journeys().stream()
                        .flatMap(journey -> journey.deliveries().stream())
                        .anyMatch(delivery -> change.isOtherwise(delivery.to().device()))
                || isTakenOtherwise(sent);
    }

    private boolean isTakenOtherwise(Sent sent) {
        return !heardBefore.isEmpty()
                && sent.journeys().stream()
                        .flatMap(journey -> journey.deliveries().stream())
                        .anyMatch(delivery -> isTakenOtherwise(delivery.to().device(), delivery.message()));
    }

    /** Whether a box does anything with a message, before or now, and hears otherwise than before. */
    private boolean isTakenOtherwise(DeviceId box, Message message) {
        return change.hearsOtherwise(box)
                && Stream.of(Objects.requireNonNull(heardBefore.get(box)), engine.hearing(box))
                        .anyMatch(hearing -> !hearing.possibleReactionsTo(message)
                                        .isEmpty()
                                || !hearing.implementation().changedBy(message).isEmpty());
    }

    /** Whether a box that it reaches is otherwise, even if it only leaves it alone for another reason. */
    public boolean reachesAnyOtherwise(Sent sent) {
        return !change.isNone()
                && sent.journeys().stream()
                        .flatMap(journey -> journey.deliveries().stream())
                        .anyMatch(delivery ->
                                change.boxes().contains(delivery.to().device()));
    }

    /** What a switch sends. */
    public Sent.BySwitch of(Assignment assignment) {
        return (Sent.BySwitch) of(assignment, (Assignment each) -> {
            CompiledSwitch compiled = compiler.compile(each);
            Map<Moment, Journey> journeys = new EnumMap<>(Moment.class);
            for (Moment moment : Moment.values()) {
                if (!compiled.sendings(moment).isEmpty()) {
                    journeys.put(moment, engine.journey(compiled, moment, 0));
                }
            }
            return new Sent.BySwitch(compiled, journeys);
        });
    }

    /** What a player sends for a cue. */
    public Sent.ByCue of(CueSent cue) {
        return (Sent.ByCue) of(cue, (CueSent each) -> {
            List<CompiledStep> steps = each.steps().stream()
                    .map(step -> compiler.compile(each.player(), step))
                    .toList();
            return new Sent.ByCue(
                    each.player(), steps, engine.journey(each.player(), Engine.timed(steps, each.raw(), 0)));
        });
    }

    /** What a control sends at its ends and between. */
    public Sent.ByControl of(ControlAssignment control) {
        return (Sent.ByControl) of(control, (ControlAssignment each) -> {
            CompiledControl compiled = compiler.compile(each);
            SortedMap<Integer, Journey> journeys = new TreeMap<>();
            POSITIONS.forEach(position -> journeys.put(position, engine.journey(compiled, position)));
            return new Sent.ByControl(compiled, journeys);
        });
    }

    private synchronized <T> Sent of(T what, Function<T, Sent> made) {
        Sent sent = known.get(what);
        if (sent == null) {
            Sent fresh = made.apply(what);
            Sent old = before.remove(what);
            sent = old != null && old.equals(fresh) && !isMetOtherwise(old) ? old : fresh;
            known.put(what, sent);
        }
        return sent;
    }
}
