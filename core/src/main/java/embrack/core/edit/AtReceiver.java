package embrack.core.edit;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.Response;
import embrack.core.chart.Verb;
import embrack.core.gear.Shaping;
import embrack.core.level.Curve;
import embrack.core.level.Range;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Target;
import java.util.Optional;

/**
 * Keeps what a control should do and what its receiver makes of it as one: where the box with the control sends its way
 * as it is, and the receiver has low and high values for its inputs, the range is set there.
 */
final class AtReceiver {

    private AtReceiver() {}

    /** The plan with the receiver's low and high values as the range of a level is meant, where they make it. */
    static Plan shaped(ControlAt at, Target target, Plan plan) {
        LearnableId learnable = new LearnableId(Verb.LEVEL, target.part());
        Optional<Learned> known =
                Optional.ofNullable(plan.rig().device(target.device()).learned().get(learnable));
        if (known.isEmpty() || !isShapedThere(plan, at, target.device()) || !isEven(target)) {
            return plan;
        }
        Range range = target.programmed();
        Learned shaped = known.get().withResponse(new Response(false, range.from(), range.to()));
        return plan.withRig(plan.rig().withDeviceChanged(target.device(), d -> d.withLearned(learnable, shaped)));
    }

    /** The plan with the ranges of controls that send their way as it is, as the receiver makes them of a level. */
    static Plan meant(DeviceId device, LearnableId learnable, Response response, Plan plan) {
        Plan changed = plan;
        for (ControlAssignment control : plan.switches().moving(device)) {
            if (isShapedThere(plan, control.at(), device) && learnable.verb() == Verb.LEVEL) {
                changed = changed.withSwitches(changed.switches()
                        .with(control.withTargets(control.targets().stream()
                                .map(target -> target.device().equals(device)
                                                && target.part().equals(learnable.part())
                                        ? target.withRange(new Range(response.low(), response.high(), Curve.LINEAR))
                                        : target)
                                .toList())));
            }
        }
        return changed;
    }

    private static boolean isShapedThere(Plan plan, ControlAt at, DeviceId receiver) {
        return plan.controls(at).shaping() == Shaping.NONE
                && plan.rig().model(receiver).implementation().quirks().assignableInputs() > 0;
    }

    private static boolean isEven(Target target) {
        return target.range().curve() == Curve.LINEAR;
    }
}
