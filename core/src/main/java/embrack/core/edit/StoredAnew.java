package embrack.core.edit;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.gear.Model;
import embrack.core.light.Held;
import embrack.core.light.Scenes;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** The looks of a desk that is replaced, put into the scenes of the other; what recalls them goes along. */
final class StoredAnew {

    private StoredAnew() {}

    /**
     * The plan with the looks of a desk where the other hardware can hold them: in the scene of the same name, else in
     * the next one that is free, all in the bank that is chosen from the start. Those for which there is none are held
     * no more.
     */
    static Plan in(Plan plan, DeviceId desk, Model other) {
        List<Held> before = plan.lights().of(desk);
        Chart chart = other.chart();
        if (before.isEmpty() || chart.equals(plan.rig().chart(desk))) {
            return plan;
        }
        Scenes scenes = Scenes.of(chart);
        Optional<PartId> bank = scenes.banks().stream().findFirst();
        List<PartId> free = new ArrayList<>(scenes.scenes());
        Map<Held, PartId> moved = new HashMap<>();
        before.stream()
                .filter(held -> free.remove(held.place().scene()))
                .forEach(held -> moved.put(held, held.place().scene()));
        before.stream()
                .filter(held -> !moved.containsKey(held) && !free.isEmpty())
                .forEach(held -> moved.put(held, free.removeFirst()));
        List<Held> now = before.stream()
                .filter(moved::containsKey)
                .map(held -> new Held(
                        desk,
                        new Scenes.Place(
                                bank, moved.getOrDefault(held, held.place().scene())),
                        held.look()))
                .toList();
        UnaryOperator<Step> along = step -> before.stream()
                .filter(held -> step.device().equals(desk)
                        && held.place().scene().equals(step.action().part())
                        && plan.lookOf(step).isPresent())
                .findFirst()
                .map(moved::get)
                .flatMap(scene -> shown(chart, scene))
                .map(action -> new Step(desk, action, step.waitMillis()))
                .orElse(step);
        return plan.withLights(plan.lights()
                        .withHeld(Stream.concat(plan.lights().without(desk).held().stream(), now.stream())
                                .toList()))
                .withSwitches(plan.switches().withSteps(along))
                .withBook(plan.book().withSteps(along));
    }

    private static Optional<Action> shown(Chart chart, PartId scene) {
        return Scenes.shows(chart, new Scenes.Place(Optional.empty(), scene)).stream()
                .findFirst();
    }
}
