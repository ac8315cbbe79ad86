package embrack.core.offer;

import embrack.core.gear.Kind;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.way.Ways;
import java.util.List;
import java.util.stream.Stream;

/**
 * Two boxes that could work together and are not joined yet.
 *
 * @param sender what is pressed, moved, or plays
 * @param receiver what obeys
 */
public record Unjoined(DeviceId sender, DeviceId receiver) {

    /**
     * For each box that is linked to nothing and should be: whom it could work, or who could work it, the first of the
     * rig. Boxes that only pass on are not asked for.
     */
    public static List<Unjoined> of(Plan plan) {
        Ways ways = new Ways(plan.rig());
        List<DeviceId> boxes = plan.rig().devices().stream().map(Device::id).toList();
        List<DeviceId> senders = boxes.stream().filter(box -> sends(plan, box)).toList();
        List<DeviceId> receivers =
                boxes.stream().filter(box -> obeys(plan, box)).toList();
        Stream<Unjoined> silent = senders.stream()
                .filter(box -> ways.reach(box).stream().noneMatch(receivers::contains))
                .flatMap(box -> receivers.stream()
                        .filter(other -> !other.equals(box))
                        .limit(1)
                        .map(other -> new Unjoined(box, other)));
        Stream<Unjoined> unheard = receivers.stream()
                .filter(box -> !sends(plan, box))
                .filter(box ->
                        senders.stream().noneMatch(sender -> ways.reach(sender).contains(box)))
                .flatMap(box -> senders.stream().limit(1).map(sender -> new Unjoined(sender, box)));
        return Stream.concat(unheard, silent).distinct().toList();
    }

    private static boolean sends(Plan plan, DeviceId box) {
        return plan.boards().contains(box) || plan.controllers().contains(box);
    }

    private static boolean obeys(Plan plan, DeviceId box) {
        boolean does = !plan.rig().model(box).parts().isEmpty();
        Kind kind = plan.rig().model(box).kind();
        return does && kind != Kind.FLOOR_BOARD && kind != Kind.FADER_BOX && kind != Kind.KEYBOARD;
    }
}
