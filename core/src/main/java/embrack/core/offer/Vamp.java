package embrack.core.offer;

import embrack.core.chart.Meaning;
import embrack.core.chart.Verb;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import java.util.stream.Stream;

/** What a player goes round by, and who tells it to. */
public final class Vamp {

    private Vamp() {}

    /** Whether a step is about what a player goes round by. */
    public static boolean isAbout(Plan plan, DeviceId player, Step step) {
        return step.device().equals(player)
                && plan.rig().chart(player).isMeant(step.action().part(), Meaning.VAMP);
    }

    /** Whether a step tells a player to go round. */
    public static boolean begins(Plan plan, DeviceId player, Step step) {
        return isAbout(plan, player, step)
                && (step.action().verb() == Verb.ON || step.action().verb() == Verb.TOGGLE);
    }

    /** Whether a cue ever tells a player to go round. */
    public static boolean isBegunByCues(Plan plan, DeviceId player) {
        return isBegun(plan, player, plan.book().cues().stream().flatMap(cue -> cue.steps().stream()));
    }

    /** Whether a switch ever tells a player to go round. */
    public static boolean isBegunByFeet(Plan plan, DeviceId player) {
        return isBegun(plan, player, plan.switches().assignments().stream().flatMap(a -> a.steps().stream()));
    }

    private static boolean isBegun(Plan plan, DeviceId player, Stream<Step> steps) {
        return steps.anyMatch(step -> begins(plan, player, step));
    }
}
