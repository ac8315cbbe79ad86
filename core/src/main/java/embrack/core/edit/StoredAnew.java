package embrack.core.edit;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.gear.Model;
import embrack.core.light.Chase;
import embrack.core.light.Held;
import embrack.core.light.Lights;
import embrack.core.light.Scenes;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import java.util.ArrayList;
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
     * same name, else in the next one that is free, scenes in the bank that is chosen from the start, so that no bank
     * has to be chosen any more. Those for which there is none are held no more.
     */
    static Plan in(Plan plan, DeviceId desk, Model other) {
        Chart chart = other.chart();
        List<Held> held = plan.lights().of(desk);
        List<Chase> chases = plan.lights().chases().stream()
                .filter(chase -> chase.at().filter(at -> at.desk().equals(desk)).isPresent())
                .toList();
        if (held.isEmpty() && chases.isEmpty() || chart.equals(plan.rig().chart(desk))) {
            return plan;
        }
        Scenes scenes = Scenes.of(chart);
        Optional<PartId> bank = scenes.banks().stream().findFirst();
        Map<Held, PartId> shows = moved(held, one -> one.place().scene(), scenes.scenes());
        Map<Chase, PartId> runs =
                moved(chases, chase -> chase.at().orElseThrow().part(), Scenes.chases(chart));
        Set<PartId> banks = Set.copyOf(Scenes.of(plan.rig().chart(desk)).banks());
        UnaryOperator<List<Step>> along = steps -> IntStream.range(0, steps.size())
                .filter(i -> !steps.get(i).device().equals(desk)
                        || !banks.contains(steps.get(i).action().part()))
                .mapToObj(i -> steps.get(i).device().equals(desk)
                        ? recalled(plan, steps, i, shows, chart)
                                .or(() -> run(steps.get(i), runs))
                                .orElse(steps.get(i))
                        : steps.get(i))
                .toList();
        Lights bare = plan.lights().without(desk);
        Lights stored = bare.withHeld(Stream.concat(
                                bare.held().stream(),
                                held.stream()
                                        .filter(shows::containsKey)
                                        .map(one -> new Held(desk, new Scenes.Place(bank, at(shows, one)), one.look())))
                        .toList())
                .withChases(plan.lights().chases().stream()
                        .map(chase -> runs.containsKey(chase)
                                ? chase.heldAt(Optional.of(new Chase.At(desk, at(runs, chase))))
                                : chases.contains(chase) ? chase.heldAt(Optional.empty()) : chase)
                        .toList());
        return plan.withLights(stored)
                .withSwitches(plan.switches().withSteps(along))
                .withBook(plan.book().withSteps(along));
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

    private static <T> PartId at(Map<T, PartId> moved, T one) {
        return Objects.requireNonNull(moved.get(one));
    }

    private static Optional<Step> recalled(
            Plan plan, List<Step> steps, int index, Map<Held, PartId> shows, Chart chart) {
        Step step = steps.get(index);
        return shows.keySet().stream()
                .filter(held ->
                        plan.placeOf(steps, index).filter(held.place()::equals).isPresent())
                .findFirst()
                .flatMap(held -> shown(chart, at(shows, held)))
                .map(action -> new Step(step.device(), action, step.waitMillis()));
    }

    private static Optional<Step> run(Step step, Map<Chase, PartId> runs) {
        return runs.keySet().stream()
                .filter(chase ->
                        chase.at().orElseThrow().part().equals(step.action().part()))
                .findFirst()
                .map(chase -> new Action(step.action().verb(), at(runs, chase)))
                .map(action -> new Step(step.device(), action, step.waitMillis()));
    }

    private static Optional<Action> shown(Chart chart, PartId scene) {
        return Scenes.shows(chart, new Scenes.Place(Optional.empty(), scene)).stream()
                .findFirst();
    }
}
