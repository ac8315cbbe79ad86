package embrack.core.check.lights;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.FixtureEdit;
import embrack.core.gear.DeskPages;
import embrack.core.light.Fixture;
import embrack.core.light.Patch;
import java.util.List;
import java.util.stream.Stream;

/** A fixture begins between two fixture buttons of the desk, or behind its last: two buttons move it, or none. */
final class BesidePages implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "beside-pages");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Patch patch = subject.plan().patch();
        List<Fixture> beside = patch.beside();
        return patch.pages().filter(pages -> !beside.isEmpty()).stream().map(pages -> finding(pages, beside));
    }

    private Finding finding(DeskPages pages, List<Fixture> beside) {
        return found(Severity.LOOK)
                .with("fixtures", beside.stream().map(Fixture::name).toList())
                .with("count", beside.size())
                .with("buttons", pages.buttons())
                .with("slots", pages.slots())
                .with("second", pages.start(2))
                .with("last", pages.start(pages.buttons()))
                .mend("address-all", new FixtureEdit.AddressAll())
                .made();
    }
}
