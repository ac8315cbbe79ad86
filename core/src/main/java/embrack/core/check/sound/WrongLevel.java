package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.level.Nominal;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.sound.Leads;
import java.util.Optional;
import java.util.stream.Stream;

/** What comes is louder or softer than a socket takes. Six decibels beside it pass: common practice, no source. */
final class WrongLevel implements Rule {

    private static final double LET_PASS = 6;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "wrong-level");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        Leads leads = new Leads(subject.sound());
        return rig.links().stream()
                .filter(link -> rig.kind(link).carriesSound())
                .flatMap(link -> finding(rig, link, leads.level(link)).stream());
    }

    private Optional<Finding> finding(Rig rig, Link link, Optional<Double> comes) {
        Optional<Nominal> takes = rig.port(link.to()).signal().level();
        if (comes.isEmpty() || takes.isEmpty()) {
            return Optional.empty();
        }
        double over = comes.get() - takes.get().highDbu();
        double under = takes.get().lowDbu() - comes.get();
        if (over <= LET_PASS && under <= LET_PASS) {
            return Optional.empty();
        }
        return Optional.of(found(Severity.LOOK)
                .with("link", link)
                .with("at", link.to())
                .with("decibels", Math.round(Math.max(over, under)))
                .with("takes", takes.get().words())
                .cause(over > LET_PASS ? "loud" : "soft")
                .made());
    }
}
