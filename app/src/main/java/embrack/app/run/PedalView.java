package embrack.app.run;

import embrack.core.plan.Plan;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.SwitchAt;
import java.util.List;

/**
 * A pedal, fader or knob that the plan has move something.
 *
 * @param act how it is moved, without where to: "move quay-board treadle 1 1"
 * @param board the box that it is on, with the bank where there is more than one
 */
record PedalView(String act, String name, String board) {

    static List<PedalView> all(Plan plan) {
        return plan.switches().controlAssignments().stream()
                .filter(control -> !control.targets().isEmpty())
                .map(control -> of(plan, control))
                .toList();
    }

    private static PedalView of(Plan plan, ControlAssignment control) {
        var at = control.at();
        return new PedalView(
                "move %s %s %d %d".formatted(at.box(), at.type().key(), at.bank(), at.number()),
                control.label().map(Object::toString).orElse(at.words()),
                plan.rig().name(at.box()).text()
                        + (plan.banks(at.box()) > 1
                                ? ", bank " + plan.bankName(new SwitchAt(at.box(), at.bank(), 1))
                                : ""));
    }
}
