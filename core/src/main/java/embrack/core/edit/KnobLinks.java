package embrack.core.edit;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.gear.Model;
import embrack.core.rig.DeviceId;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Switches;
import embrack.core.switches.Target;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * The links from knobs and faders to a host of sounds, carried over between one whose patches each have knobs of their
 * own and one with a layer of controls that all patches share: the third knob of each patch is the third of the layer.
 */
final class KnobLinks {

    private final Model before;
    private final Model now;

    KnobLinks(Model before, Model now) {
        this.before = before;
        this.now = now;
    }

    /**
     * The switches with the levels of a device linked as its new hardware has them; of hardware of any other kind, as
     * they were: what it has in the same place may be something else.
     */
    Switches carriedOver(Switches switches, DeviceId device) {
        boolean areOtherwise = before.isPlayedByKnobs()
                && now.isPlayedByKnobs()
                && before.isLinkedStraight() != now.isLinkedStraight();
        return !areOtherwise
                ? switches
                : new Switches(
                        switches.assignments(),
                        switches.controlAssignments().stream()
                                .map(control -> carriedOver(control, device))
                                .toList());
    }

    private ControlAssignment carriedOver(ControlAssignment control, DeviceId device) {
        List<Target> targets = new ArrayList<>();
        for (Target target : control.targets()) {
            List<PartId> parts = target.device().equals(device) ? parts(target.part()) : List.of(target.part());
            parts.stream()
                    .map(part -> part.equals(target.part()) ? target : target.of(part))
                    .filter(one -> targets.stream()
                            .noneMatch(known -> known.device().equals(one.device())
                                    && known.part().equals(one.part())))
                    .filter(one -> targets.size() < ControlAssignment.MAX_TARGETS)
                    .forEach(targets::add);
        }
        return control.withTargets(targets);
    }

    /** What the new hardware has for a level of the old one: itself, where it has it too. */
    private List<PartId> parts(PartId part) {
        if (now.part(part).isPresent()) {
            return List.of(part);
        }
        int place = rows(before).stream()
                .mapToInt(row -> row.indexOf(part))
                .filter(at -> at >= 0)
                .findFirst()
                .orElse(Integer.MAX_VALUE);
        List<PartId> there = rows(now).stream()
                .filter(row -> place < row.size())
                .map(row -> row.get(place))
                .toList();
        return there.isEmpty() ? List.of(part) : there;
    }

    /** The levels of a model: those of each patch, or those of all. */
    private static List<List<PartId>> rows(Model model) {
        List<PartId> levels = model.parts().stream()
                .map(part -> part.id())
                .filter(part -> model.implementation().aspects(part).contains(Aspect.LEVEL))
                .toList();
        List<PartId> patches = levels.stream()
                .map(part -> model.standing().within().get(part))
                .filter(Objects::nonNull)
                .distinct()
                .toList();
        return patches.isEmpty()
                ? List.of(levels)
                : patches.stream()
                        .map(patch -> levels.stream()
                                .filter(part ->
                                        patch.equals(model.standing().within().get(part)))
                                .toList())
                        .toList();
    }
}
