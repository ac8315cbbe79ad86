package embrack.core.edit;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.gear.Model;
import embrack.core.light.Banks;
import embrack.core.light.Chase;
import embrack.core.light.Held;
import embrack.core.light.Lights;
import embrack.core.light.LookId;
import embrack.core.light.Scenes;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The looks and chases of a desk that is replaced, put into the other; what recalls and runs them goes along. */
final class StoredAnew {

    private StoredAnew() {}

    /**
     * The plan with the looks and chases of a desk where the other hardware can hold them: in the scene or chase of the
     * same name, else in the next one that is free. Scenes lie in the bank that is chosen from the start, so that no
     * bank has to be chosen any more; looks for which that is too small lie in more banks, those of a song together.
     * Those for which there is no place at all are held no more.
     */
    static Plan in(Plan plan, DeviceId desk, Model other) {
        return in(plan, desk, other.chart());
    }

    /** The looks of a desk so in its banks that its songs choose one as seldom as can be. */
    static Plan arranged(Plan plan, DeviceId desk) {
        return stored(plan, desk, plan.rig().chart(desk));
    }

    private static Plan in(Plan plan, DeviceId desk, Chart chart) {
        return chart.equals(plan.rig().chart(desk)) ? plan : stored(plan, desk, chart);
    }

    private static Plan stored(Plan plan, DeviceId desk, Chart chart) {
        List<Held> held = plan.lights().of(desk);
        List<Chase> chases = plan.lights().chases().stream()
                .filter(chase -> chase.at().filter(at -> at.desk().equals(desk)).isPresent())
                .toList();
        if (held.isEmpty() && chases.isEmpty()) {
            return plan;
        }
        Map<Held, Scenes.Place> shows = places(plan, desk, held, Scenes.of(chart));
        boolean isBanked =
                shows.values().stream().map(Scenes.Place::bank).distinct().count() > 1;
        Map<Chase, PartId> runs =
                moved(chases, chase -> chase.at().orElseThrow().part(), Scenes.chases(chart));
        Set<PartId> banks = Set.copyOf(Scenes.of(plan.rig().chart(desk)).banks());
        UnaryOperator<List<Step>> along = steps -> IntStream.range(0, steps.size())
                .filter(i -> !steps.get(i).device().equals(desk)
                        || !banks.contains(steps.get(i).action().part()))
                .boxed()
                .flatMap(i -> steps.get(i).device().equals(desk)
                        ? recalled(plan, steps, i, shows, chart, isBanked).stream()
                        : Stream.of(steps.get(i)))
                .map(step -> step.device().equals(desk) ? run(step, runs).orElse(step) : step)
                .toList();
        Lights bare = plan.lights().without(desk);
        Set<Scenes.Place> taken = new HashSet<>();
        Lights stored = bare.withHeld(Stream.concat(
                                bare.held().stream(),
                                held.stream()
                                        .filter(shows::containsKey)
                                        .filter(one -> taken.add(at(shows, one)))
                                        .map(one -> new Held(desk, at(shows, one), one.look())))
                        .toList())
                .withChases(plan.lights().chases().stream()
                        .map(chase -> runs.containsKey(chase)
                                ? chase.heldAt(Optional.of(new Chase.At(desk, at(runs, chase))))
                                : chases.contains(chase) ? chase.heldAt(Optional.empty()) : chase)
                        .toList());
        Plan moved = plan.withLights(stored)
                .withSwitches(plan.switches().withSteps(along))
                .withBook(plan.book().withSteps(along));
        return isBanked ? SparedBanks.in(moved, desk, Scenes.of(chart)) : moved;
    }

    /** Where each look comes: into the first bank, by its scene; where that is too small, bank by bank by its songs. */
    private static Map<Held, Scenes.Place> places(Plan plan, DeviceId desk, List<Held> held, Scenes scenes) {
        Map<Held, Scenes.Place> places = new LinkedHashMap<>();
        int room = scenes.scenes().size();
        if (held.size() <= room || scenes.banks().size() < 2) {
            Optional<PartId> bank = scenes.banks().stream().findFirst();
            moved(held, one -> one.place().scene(), scenes.scenes())
                    .forEach((one, scene) -> places.put(one, new Scenes.Place(bank, scene)));
            return places;
        }
        List<LookId> looks = held.stream()
                .map(Held::look)
                .distinct()
                .limit((long) room * scenes.banks().size())
                .toList();
        List<List<LookId>> banks = Banks.of(
                looks, SparedBanks.together(plan, desk), room, scenes.banks().size());
        for (int bank = 0; bank < banks.size(); bank++) {
            Optional<PartId> in = Optional.of(scenes.banks().get(bank));
            List<LookId> here = banks.get(bank);
            List<Held> those = held.stream()
                    .filter(one -> here.contains(one.look()))
                    .filter(one -> held.stream()
                            .filter(other -> other.look().equals(one.look()))
                            .findFirst()
                            .filter(one::equals)
                            .isPresent())
                    .toList();
            moved(those, one -> one.place().scene(), scenes.scenes())
                    .forEach((one, scene) -> places.put(one, new Scenes.Place(in, scene)));
        }
        held.stream()
                .filter(one -> !places.containsKey(one))
                .forEach(one -> places.entrySet().stream()
                        .filter(entry -> entry.getKey().look().equals(one.look()))
                        .findFirst()
                        .ifPresent(entry -> places.put(one, entry.getValue())));
        return places;
    }

    /** Where each comes: those first that find a part of the same name. */
    private static <T> Map<T, PartId> moved(List<T> some, Function<T, PartId> now, List<PartId> parts) {
        List<PartId> free = new ArrayList<>(parts);
        Map<T, PartId> moved = new LinkedHashMap<>();
        some.stream().filter(one -> free.remove(now.apply(one))).forEach(one -> moved.put(one, now.apply(one)));
        some.stream()
                .filter(one -> !moved.containsKey(one) && !free.isEmpty())
                .forEach(one -> moved.put(one, free.removeFirst()));
        return moved;
    }

    private static <T, P> P at(Map<T, P> moved, T one) {
        return Objects.requireNonNull(moved.get(one));
    }

    /** What recalls the look of a step now, its bank first where there are more; the step itself for what is none. */
    private static List<Step> recalled(
            Plan plan, List<Step> steps, int index, Map<Held, Scenes.Place> shows, Chart chart, boolean isBanked) {
        Step step = steps.get(index);
        List<Action> actions = shows.keySet().stream()
                .filter(held ->
                        plan.placeOf(steps, index).filter(held.place()::equals).isPresent())
                .findFirst()
                .map(held -> at(shows, held))
                .map(place -> Scenes.shows(chart, isBanked ? place : new Scenes.Place(Optional.empty(), place.scene())))
                .orElse(List.of());
        return actions.isEmpty()
                ? List.of(step)
                : IntStream.range(0, actions.size())
                        .mapToObj(i -> new Step(step.device(), actions.get(i), i == 0 ? step.waitMillis() : 0))
                        .toList();
    }

    private static Optional<Step> run(Step step, Map<Chase, PartId> runs) {
        return runs.keySet().stream()
                .filter(chase ->
                        chase.at().orElseThrow().part().equals(step.action().part()))
                .findFirst()
                .map(chase -> new Action(step.action().verb(), at(runs, chase)))
                .map(action -> new Step(step.device(), action, step.waitMillis()));
    }
}
