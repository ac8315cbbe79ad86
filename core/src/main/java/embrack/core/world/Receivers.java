package embrack.core.world;

import embrack.core.chart.Action;
import embrack.core.chart.MessageMemory;
import embrack.core.chart.Verb;
import embrack.core.level.Takeover;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Target;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What the boxes of a rig make of the messages that arrive. */
final class Receivers {

    private final Rig rig;
    private final Map<DeviceId, Hearing> hearings = new HashMap<>();
    private final Map<Place, Takeover> takeovers = new HashMap<>();

    Receivers(Plan plan) {
        this.rig = plan.rig();
        for (ControlAssignment assignment : plan.switches().controlAssignments()) {
            for (Target target : assignment.targets()) {
                if (assignment.takeover() != Takeover.JUMP) {
                    takeovers.put(World.place(target.device(), target.at(0)), assignment.takeover());
                }
            }
        }
    }

    /** What devices make of all that arrives, in a world that is so old when the journey begins. */
    Outcome take(World before, Journey journey) {
        World state = before;
        List<Happened> trace =
                new ArrayList<>(journey.others().size() + journey.deliveries().size());
        for (Happened other : journey.others()) {
            trace.add(before.clockMicros() == 0 ? other : other.later(before.clockMicros()));
        }
        for (Journey.Delivery delivery : journey.deliveries()) {
            DeviceId device = delivery.to().device();
            Reading read = hearing(device).reading(device, delivery.message(), state, delivery.atMicros());
            Reading reading = read instanceof Reading.Acts acts ? takenOver(state, device, acts) : read;
            trace.add(new Happened.Arrived(
                    before.clockMicros() + delivery.atMicros(), delivery.to(), delivery.message(), reading));
            state = after(state, delivery, read, reading);
        }
        trace.sort(Comparator.comparingLong(Happened::atMicros));
        return new Outcome(state, trace);
    }

    private World after(World state, Journey.Delivery delivery, Reading read, Reading reading) {
        if (read instanceof Reading.Deaf) {
            return state;
        }
        DeviceId device = delivery.to().device();
        Hearing hearing = hearing(device);
        Ears ears = state.ears()
                .remembering(
                        device, hearing.implementation().remember(state.ears().heardBy(device), delivery.message()));
        if (!(reading instanceof Reading.Acts acts)) {
            return state.with(ears);
        }
        if (read instanceof Reading.Acts wanted && !takeovers.isEmpty()) {
            for (Action action : wanted.actions()) {
                if (takeovers.containsKey(World.place(device, action))) {
                    ears = ears.withLevel(
                            World.place(device, action), action.amount().orElse(0));
                }
            }
        }
        if (hearing.loadingMicros() > 0 && acts.actions().stream().anyMatch(hearing::isLoading)) {
            ears = ears.deafUntil(device, delivery.atMicros() + hearing.loadingMicros());
        }
        return state.after(device, acts.actions()).with(ears);
    }

    /** A reading with the levels that come of it where a control takes over. */
    private Reading takenOver(World before, DeviceId device, Reading.Acts acts) {
        if (takeovers.isEmpty()
                || acts.actions().stream().noneMatch(a -> takeovers.containsKey(World.place(device, a)))) {
            return acts;
        }
        return new Reading.Acts(acts.actions().stream()
                .map(action -> takenOver(before, device, action))
                .toList());
    }

    private Action takenOver(World before, DeviceId device, Action action) {
        Place place = World.place(device, action);
        Takeover takeover = takeovers.get(place);
        if (takeover == null || action.verb() != Verb.LEVEL) {
            return action;
        }
        int value = before.value(place);
        int last = before.ears().levels().getOrDefault(place, value);
        return new Action(
                Verb.LEVEL,
                action.part(),
                Optional.of(takeover.level(last, value, action.amount().orElse(0))));
    }

    /**
     * What a journey does, whatever the state of the rig; empty when a box that it reaches reads it by what came
     * before.
     */
    Optional<List<Places.Move>> moves(Places places, Journey journey) {
        List<Places.Move> moves = new ArrayList<>();
        Set<DeviceId> loading = new HashSet<>();
        for (Journey.Delivery delivery : journey.deliveries()) {
            DeviceId device = delivery.to().device();
            Hearing hearing = hearing(device);
            if (hearing.dependsOnBefore() || loading.contains(device)) {
                return Optional.empty();
            }
            if (hearing.reading(delivery.message(), MessageMemory.NOTHING) instanceof Reading.Acts acts) {
                if (!takeovers.isEmpty()
                        && acts.actions().stream().anyMatch(a -> takeovers.containsKey(World.place(device, a)))) {
                    return Optional.empty();
                }
                if (acts.actions().stream().anyMatch(hearing::isLoading)) {
                    loading.add(device);
                }
                moves.addAll(places.moves(device, acts.actions()));
            }
        }
        return Optional.of(moves);
    }

    /** Whether a device follows a clock that comes to it, as it is set. */
    boolean hearsClock(DeviceId device) {
        return hearing(device).syncOff().isEmpty();
    }

    /** What a control does at a place that stands elsewhere; empty where it jumps. */
    Optional<Takeover> takeover(Place place) {
        return Optional.ofNullable(takeovers.get(place));
    }

    Hearing hearing(DeviceId device) {
        return hearings.computeIfAbsent(device, id -> Hearing.of(rig, id));
    }
}
