package embrack.core.offer;

import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.Optional;

/**
 * What a plan lacks next before anything in it can be proven, in the order in which people work.
 *
 * @param step what is to be done
 * @param sender who is to send; empty while there is nobody
 * @param receiver who is to obey; empty while there is nobody
 */
public record Missing(Step step, Optional<DeviceId> sender, Optional<DeviceId> receiver) {

    /** What is to be done. */
    public enum Step {
        /** Add something that is pressed or moved, or that plays. */
        ADD_SENDER,
        /** Add something that obeys. */
        ADD_RECEIVER,
        /** Join the two. */
        JOIN,
        /** Say what a switch, control or cue is to do. */
        SAY
    }

    /** What a plan lacks; empty once something in it can be proven. */
    public static Optional<Missing> of(Plan plan) {
        boolean does = plan.switches().assignments().stream()
                        .anyMatch(assignment -> !assignment.steps().isEmpty())
                || plan.switches().controlAssignments().stream()
                        .anyMatch(control -> !control.targets().isEmpty())
                || !plan.book().cues().isEmpty();
        if (does) {
            return Optional.empty();
        }
        Optional<DeviceId> sender = plan.rig().devices().stream()
                .map(Device::id)
                .filter(id -> plan.boards().contains(id) || plan.controllers().contains(id))
                .findFirst()
                .or(() -> plan.players().stream().findFirst());
        Optional<DeviceId> receiver = plan.rig().devices().stream()
                .map(Device::id)
                .filter(id -> !plan.rig().chart(id).isEmpty())
                .filter(id -> sender.filter(id::equals).isEmpty())
                .findFirst();
        Step step = sender.isEmpty()
                ? Step.ADD_SENDER
                : receiver.isEmpty() ? Step.ADD_RECEIVER : isJoined(plan.rig()) ? Step.SAY : Step.JOIN;
        return Optional.of(new Missing(step, sender, receiver));
    }

    /** Whether a link is there that messages can take. */
    private static boolean isJoined(Rig rig) {
        return rig.links().stream().anyMatch(link -> rig.kind(link).carriesMidi());
    }
}
