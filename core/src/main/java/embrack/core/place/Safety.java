package embrack.core.place;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Chart;
import embrack.core.chart.Meaning;
import embrack.core.chart.Verb;
import embrack.core.gear.Kind;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What has to happen when something goes wrong in front of people. */
public final class Safety {

    private static final Set<Verb> STARTS = EnumSet.of(Verb.PLAY, Verb.TOGGLE_PLAY, Verb.RECORD);

    private final Plan plan;

    public Safety(Plan plan) {
        this.plan = plan;
    }

    /** Whether any switch starts something that plays on by itself, so that the rig needs a kill switch. */
    public boolean isNeeded() {
        return plan.switches().assignments().stream().anyMatch(this::isGo);
    }

    /** Whether a switch starts something, by its duty or by what it does. */
    public boolean isGo(Assignment assignment) {
        return assignment.isFor(Duty.GO)
                || assignment.duty().isEmpty()
                        && assignment.steps().stream()
                                .anyMatch(step -> STARTS.contains(step.action().verb()));
    }

    /** What brings every box that has a safe state into it. */
    public List<Step> safe() {
        return first().flatMap(device ->
                        plan.rig().chart(device.id()).safe().stream().map(action -> new Step(device.id(), action)))
                .toList();
    }

    /** What stops everything that plays, at once. */
    public List<Step> stops() {
        return first().flatMap(device -> stop(device.id()).map(action -> new Step(device.id(), action)))
                .toList();
    }

    /** Whether the switch of some duty does all of some steps when it is pressed. */
    public boolean isDoneBy(Duty duty, List<Step> steps) {
        return plan.switches().assignments().stream()
                .filter(assignment -> assignment.isFor(duty))
                .anyMatch(assignment -> assignment.steps(Moment.PRESS).stream()
                        .map(step -> step.withWait(0))
                        .collect(Collectors.toSet())
                        .containsAll(steps));
    }

    /** Whether an assignment stops something that plays, or leaves the house without sound or light. */
    public boolean isHurtful(Assignment assignment) {
        return assignment.isFor(Duty.KILL)
                || assignment.isFor(Duty.SAFE)
                || assignment.steps().stream().anyMatch(this::isHurtful);
    }

    /** One track of a looper may stop beside another that starts: that is how loops are played. */
    private boolean isHurtful(Step step) {
        Action action = step.action();
        boolean stopsOne =
                action.verb() == Verb.STOP && plan.rig().model(step.device()).kind() != Kind.LOOPER;
        boolean stops = stopsOne || action.verb() == Verb.STOP_ALL || action.verb() == Verb.FADE_OUT;
        Chart chart = plan.rig().chart(step.device());
        boolean dark = chart.isMeant(action.part(), Meaning.BLACKOUT) && action.verb() != Verb.OFF;
        boolean silent = chart.isMeant(action.part(), Meaning.HOUSE)
                && (action.verb() == Verb.MUTE || action.verb() == Verb.TOGGLE_MUTE);
        return stops || dark || silent;
    }

    private Stream<Action> stop(DeviceId device) {
        List<Action> stops = plan.rig().chart(device).actions().stream()
                .filter(action -> action.verb() == Verb.STOP_ALL)
                .toList();
        return stops.isEmpty()
                ? plan.rig().chart(device).actions().stream()
                        .filter(action ->
                                action.verb() == Verb.STOP && action.verb().aspect() == Aspect.TRANSPORT)
                : stops.stream();
    }

    /** Devices, without those that only stand in for another: a step is meant for both. */
    private Stream<Device> first() {
        return plan.rig().devices().stream()
                .filter(device -> plan.rig().pairs().stream()
                        .noneMatch(pair -> pair.second().equals(device.id())));
    }
}
