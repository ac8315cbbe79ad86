package embrack.core.check.switches;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Response;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.NumberEdit;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Blame;
import embrack.core.sim.Cause;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The receiver's input is set so that some or all presses do nothing. */
final class DeadInput implements Rule {

    private record Input(DeviceId device, Cause.InputSet set) {}

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "dead-input");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject
                .blamed(Cause.InputSet.class)
                .collect(Collectors.groupingBy(
                        blame -> new Input(blame.device(), (Cause.InputSet) blame.cause()),
                        LinkedHashMap::new,
                        Collectors.toList()))
                .entrySet()
                .stream()
                .map(e -> finding(subject, e.getKey(), e.getValue()));
    }

    private Finding finding(Subject subject, Input input, List<Blame> blames) {
        LearnableId function = LearnableId.of(input.set().step().action());
        Response response = input.set().response();
        return found(subject.severity(blames))
                .blaming(subject.plan(), blames)
                .with("device", input.device())
                .with("deed", input.set().step())
                .with("low", response.low())
                .with("high", response.high())
                .cause(response.alternating() ? "alternates" : response.high() < Response.ON ? "high" : "low")
                .mend("set-plainly", new NumberEdit.Respond(input.device(), function, false, "0", "127"))
                .mend("low-value", new NumberEdit.Respond(input.device(), function, false, "127", "127"))
                .made();
    }
}
