package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.rig.Length;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.sound.Leads;
import java.util.stream.Stream;

/** A lead that is not balanced is longer than 10 m: it gathers hum and loses treble. Common practice, no source. */
final class LongUnbalanced implements Rule {

    private static final Length LONGEST = Length.ofMetres(10);

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "long-unbalanced");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        Leads leads = new Leads(subject.sound());
        return rig.links().stream()
                .filter(link -> rig.kind(link) == LinkKind.SOUND
                        && link.length()
                                .filter(length -> length.compareTo(LONGEST) > 0)
                                .isPresent()
                        && !leads.isBalanced(link))
                .map(link -> found(Severity.LOOK)
                        .with("at", link.from())
                        .with("link", link)
                        .with("length", link.length().orElseThrow().words())
                        .with("limit", LONGEST.words())
                        .made());
    }
}
