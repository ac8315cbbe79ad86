package embrack.app.line;

import embrack.core.chart.Aspect;
import embrack.core.line.SimulatedRig;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.send.Probe;
import embrack.core.send.Probes;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.List;

/**
 * What simulated boxes that obey do now, in words: those that the show asks anything of.
 *
 * @param settings of all of them, to be set otherwise
 */
record ReceiversView(List<Box> boxes, List<Choice> settings) {

    /** A box with the parts that the show asks anything of. */
    record Box(String key, String name, List<Part> parts) {}

    /** A part and how it stands: "Return 2", "muted". */
    record Part(String name, String stands) {}

    /** A setting of a box, and what it is set to: "Vocal mixer: MIDI receive channel, 3". */
    record Choice(String key, String words) {}

    static ReceiversView of(Plan plan, SimulatedRig boxes) {
        Probes probes = Probes.of(plan);
        Plan set = boxes.set();
        List<DeviceId> there = probes.boxes().stream()
                .filter(box -> set.rig().find(box).isPresent())
                .toList();
        return new ReceiversView(
                there.stream()
                        .map(box -> new Box(
                                box.text(),
                                set.rig().name(box).text(),
                                probes.of(box).stream()
                                        .map(Probe::action)
                                        .map(action -> World.place(box, action))
                                        .distinct()
                                        .filter(place -> place.aspect() != Aspect.CHOSEN
                                                || boxes.world().value(place) != 0)
                                        .map(place -> part(set, boxes.world(), place))
                                        .toList()))
                        .toList(),
                there.stream()
                        .flatMap(box -> set.rig().model(box).settings().stream()
                                .map(setting -> new Choice(
                                        "%s/%s".formatted(box, setting.id()),
                                        "%s: %s, %s"
                                                .formatted(
                                                        set.rig().name(box),
                                                        setting.name(),
                                                        set.rig()
                                                                .setting(box, setting.id())
                                                                .map(setting::shown)
                                                                .orElse("")))))
                        .toList());
    }

    private static Part part(Plan plan, World world, Place place) {
        return new Part(
                plan.rig().partName(place.device(), place.part()).text(), place.word(plan.rig(), world.value(place)));
    }
}
