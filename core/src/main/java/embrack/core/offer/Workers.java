package embrack.core.offer;

import embrack.core.chart.Action;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.gear.Model;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.stream.Stream;

/** Who works a box: every switch, control, cue and hand that moves a part of it. */
public final class Workers {

    private Workers() {}

    /** Somebody or something that moves a part. */
    public sealed interface Worker {

        /** A foot or hand on a switch, pad, key or button; {@code does} in the words of the box. */
        record Pressed(SwitchAt at, Moment moment, String does) implements Worker {}

        /** A pedal, fader or knob. */
        record Moved(ControlAt at) implements Worker {}

        /** A cue; of no song for what every song sends. */
        record Sent(Optional<Song> song, Cue cue, String does) implements Worker {}

        /** People at the box itself: while the show runs, or before it. */
        record ByHand(boolean atDoors) implements Worker {}
    }

    /** Those of a device, by its parts in their order; parts that nobody works are not in it. */
    public static SequencedMap<PartId, List<Worker>> of(Plan plan, DeviceId id) {
        SequencedMap<PartId, List<Worker>> all = new LinkedHashMap<>();
        Device device = plan.rig().device(id);
        Model model = plan.rig().model(id);
        for (Part part : plan.rig().chart(id).parts()) {
            List<Worker> workers = new ArrayList<>();
            plan.switches()
                    .assignments()
                    .forEach(assignment -> Stream.of(Moment.values())
                            .forEach(moment -> steps(assignment.steps(moment), id, part)
                                    .forEach(action -> workers.add(new Worker.Pressed(
                                            assignment.at(), moment, plan.rig().words(id, action))))));
            plan.switches().controlAssignments().stream()
                    .filter(control -> control.targets().stream()
                            .anyMatch(target ->
                                    target.device().equals(id) && target.part().equals(part.id())))
                    .forEach(control -> workers.add(new Worker.Moved(control.at())));
            plan.book().always().forEach(cue -> addCue(plan, Optional.empty(), cue, id, part, workers));
            plan.book()
                    .songs()
                    .forEach(song ->
                            song.cues().forEach(cue -> addCue(plan, Optional.of(song), cue, id, part, workers)));
            if (device.handWork().worked().contains(part.id())
                    || model.standing().byHand().contains(part.id())) {
                workers.add(new Worker.ByHand(false));
            }
            if (device.handWork().atDoors().stream()
                    .anyMatch(action -> action.part().equals(part.id()))) {
                workers.add(new Worker.ByHand(true));
            }
            if (!workers.isEmpty()) {
                all.put(part.id(), List.copyOf(workers));
            }
        }
        return all;
    }

    private static void addCue(Plan plan, Optional<Song> song, Cue cue, DeviceId id, Part part, List<Worker> to) {
        steps(cue.steps(), id, part)
                .forEach(action -> to.add(new Worker.Sent(song, cue, plan.rig().words(id, action))));
    }

    private static Stream<Action> steps(List<Step> steps, DeviceId id, Part part) {
        return steps.stream()
                .filter(step -> step.device().equals(id) && step.action().part().equals(part.id()))
                .map(Step::action);
    }
}
