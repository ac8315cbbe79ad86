package embrack.core.proof;

import embrack.core.chart.Action;
import embrack.core.chart.MessageMemory;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.level.Takeover;
import embrack.core.light.NeededBank;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.Step;
import embrack.core.world.Engine;
import embrack.core.world.Hearing;
import embrack.core.world.Journey;
import embrack.core.world.Place;
import embrack.core.world.Places;
import embrack.core.world.Reading;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Makes effects of messages that arrive, and of steps that are meant. */
final class Effects {

    private final Plan plan;
    private final Rig rig;
    private final Engine engine;
    private final Places places;
    private final Variables variables;

    /** What messages do at a device whatever came before. */
    private final Map<DeviceId, Map<Message, List<Effect>>> always = new HashMap<>();

    Effects(Plan plan, Engine engine, Places places, Variables variables) {
        this.plan = plan;
        this.rig = plan.rig();
        this.engine = engine;
        this.places = places;
        this.variables = variables;
    }

    /** What steps are meant to do, on their devices and on those that stand in for them. */
    List<Effect> meant(List<Step> steps) {
        return steps.stream()
                .flatMap(step ->
                        each(step).flatMap(device -> places.moves(device, List.<Action>of(step.action())).stream()))
                .map(this::move)
                .toList();
    }

    /** The parts that steps start and that stand still without something else. */
    List<Transition.Need> needs(List<Step> steps) {
        List<Transition.Need> needs = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            Optional<NeededBank> bank = plan.bankOf(steps, i);
            for (DeviceId device : each(step).toList()) {
                if (step.action().verb() != Verb.OFF && step.action().verb() != Verb.STOP) {
                    need(device, step.action()).ifPresent(needs::add);
                }
                bank.flatMap(needed -> need(device, step.action(), needed)).ifPresent(needs::add);
            }
        }
        return needs;
    }

    private Optional<Transition.Need> need(DeviceId device, Action action) {
        return rig.chart(device)
                .need(action.part())
                .map(part -> new Transition.Need(
                        started(device, action), standing(device, part), new int[0], Lack.STANDS_STILL))
                .filter(need -> need.by().length > 0);
    }

    private Optional<Transition.Need> need(DeviceId device, Action action, NeededBank bank) {
        int[] others = bank.others().stream()
                .flatMapToInt(other -> Arrays.stream(standing(device, other)))
                .toArray();
        return Optional.of(new Transition.Need(
                        started(device, action), standing(device, bank.bank()), others, Lack.IS_ANOTHER))
                .filter(need -> need.by().length > 0);
    }

    private int started(DeviceId device, Action action) {
        return stands(new Place(device, action.part(), action.verb().aspect()));
    }

    private int[] standing(DeviceId device, PartId part) {
        return rig.model(device).implementation().aspects(part).stream()
                .filter(aspect -> !aspect.isCount())
                .mapToInt(aspect -> stands(new Place(device, part, aspect)))
                .toArray();
    }

    private Stream<DeviceId> each(Step step) {
        return Stream.concat(Stream.of(step.device()), rig.standIn(step.device()).stream());
    }

    /** What the messages of a gesture do when they arrive. */
    List<Effect> arriving(Journey journey) {
        List<Effect> effects = new ArrayList<>();
        Set<DeviceId> loading = new HashSet<>();
        for (Journey.Delivery delivery : journey.deliveries()) {
            arriving(delivery, loading, effects);
        }
        return effects;
    }

    private void arriving(Journey.Delivery delivery, Set<DeviceId> loading, List<Effect> effects) {
        DeviceId device = delivery.to().device();
        List<Effect> known = loading.contains(device)
                ? null
                : always.getOrDefault(device, Map.of()).get(delivery.message());
        if (known != null) {
            effects.addAll(known);
            return;
        }
        Hearing hearing = engine.hearing(device);
        var possible = new Reading.Acts(hearing.possibleReactionsTo(delivery.message()));
        List<Remember> remembered = hearing.implementation().changedBy(delivery.message()).stream()
                .map(key ->
                        new Remember(variables, hearing.implementation(), delivery.message(), key, memory(device, key)))
                .toList();
        Set<MessageMemory.Key> decided =
                possible.actions().isEmpty() ? Set.of() : hearing.decidedBy(delivery.message());
        boolean loads =
                hearing.loadingMicros() > 0 && possible.actions().stream().anyMatch(hearing::isLoading);
        boolean partly = hearing.isPartlyWritten() && !possible.actions().isEmpty();
        if (decided.isEmpty() && !partly && !loading.contains(device)) {
            List<Effect> plain = Stream.concat(remembered.stream(), acting(device, possible).stream())
                    .toList();
            effects.addAll(plain);
            if (!loads) {
                always.computeIfAbsent(device, d -> new HashMap<>()).put(delivery.message(), plain);
            } else {
                effects.add(new Effect.Write(variables.number(new Variable.Deaf(device)), (int)
                        (delivery.atMicros() + hearing.loadingMicros())));
            }
        } else {
            boolean mayBeDeaf = loads || loading.contains(device);
            effects.add(new Hear(
                    variables,
                    hearing,
                    delivery.message(),
                    acts -> acting(device, acts),
                    remembered,
                    decided.stream()
                            .mapToInt(key -> memory(device, key))
                            .sorted()
                            .toArray(),
                    partly
                            ? places.memories(device).stream()
                                    .mapToInt(this::stands)
                                    .toArray()
                            : Effect.NOTHING,
                    mayBeDeaf ? variables.number(new Variable.Deaf(device)) : -1,
                    delivery.atMicros()));
        }
        if (loads) {
            loading.add(device);
        }
    }

    /** All devices obey again: between two parts of a gesture they come to rest. */
    List<Effect> rested(Journey journey) {
        return journey.deliveries().stream()
                .map(delivery -> delivery.to().device())
                .filter(device -> engine.hearing(device).loadingMicros() > 0)
                .distinct()
                .<Effect>map(device -> new Effect.Write(variables.number(new Variable.Deaf(device)), 0))
                .toList();
    }

    private List<Effect> acting(DeviceId device, Reading.Acts acts) {
        return places.moves(device, acts.actions()).stream().map(this::arrived).toList();
    }

    private Effect arrived(Places.Move move) {
        Optional<Takeover> takeover = move.verb() == Verb.LEVEL ? engine.takeover(move.place()) : Optional.empty();
        return takeover.isEmpty()
                ? move(move)
                : within(
                        move,
                        new Effect.Approach(
                                stands(move),
                                variables.number(new Variable.Came(move.place())),
                                takeover.get(),
                                move.amount()));
    }

    private Effect within(Places.Move move, Effect effect) {
        return move.within() < 0 ? effect : new Effect.Within(variables.stands(move.device(), move.within()), effect);
    }

    private Effect move(Places.Move move) {
        int[] out = new int[move.out().length];
        for (int i = 0; i < out.length; i++) {
            out[i] = variables.stands(move.device(), move.out()[i]);
        }
        return within(move, new Effect.Move(stands(move), move.verb(), move.amount(), out));
    }

    private int stands(Places.Move move) {
        return move.number() < 0
                ? variables.number(new Variable.Stands(move.place()))
                : variables.stands(move.device(), move.number());
    }

    private int stands(Place place) {
        return variables.number(place);
    }

    private int memory(DeviceId device, MessageMemory.Key key) {
        return variables.number(new Variable.Heard(device, key));
    }
}
