package embrack.core.check.lights;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.FixtureEdit;
import embrack.core.light.Patch;
import java.util.stream.Stream;

/** Two fixtures read the same slots. Alike ones at one address are told as a note: that is often meant. */
final class SharedSlots implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "shared-slots");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().patch().shared().stream().map(this::finding);
    }

    private Finding finding(Patch.Shared shared) {
        return found(shared.isAlike() ? Severity.NOTE : Severity.LOOK)
                .cause(shared.isAlike() ? "alike" : shared.from() == shared.to() ? "one" : "several")
                .with("one", shared.one().name())
                .with("other", shared.other().name())
                .with("from", shared.from())
                .with("to", shared.to())
                .mend("address-all", new FixtureEdit.AddressAll())
                .made();
    }
}
