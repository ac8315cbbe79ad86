package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.sound.Stand;
import java.util.stream.Stream;

/** Two ways of one sound meet, and one is later: it sounds hollow, as if through a tube. */
final class MeetsLate implements Rule {

    /** From here on it is heard, microseconds; under it nobody minds. Common practice, no source. */
    private static final long HEARD = 500;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "meets-late");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        var paths = subject.sound();
        var heard = paths.heard(Stand.OPEN);
        return paths.sources().stream()
                .flatMap(source -> paths.listeners().stream()
                        .filter(listener -> heard.arrival(source, listener).apart() >= HEARD)
                        .map(listener -> found(Severity.LOOK)
                                .with("device", source.device())
                                .with("sound", Words.sound(source))
                                .with("listener", Words.listener(listener))
                                .with(
                                        "apart",
                                        Math.round(
                                                heard.arrival(source, listener).apart() / 100.0))
                                .made()));
    }
}
