package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Ear;
import embrack.core.sound.Stand;
import java.util.stream.Stream;

/** Whoever plays or sings hears it later than about 10 ms: the finger feels it. Common practice, no source. */
final class LateToEars implements Rule {

    private static final long FELT = 10_000;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "late-to-ears");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        var paths = subject.sound();
        var heard = paths.heard(Stand.OPEN);
        return paths.sources().stream()
                .filter(source -> !source.sound().isPlayed())
                .flatMap(source -> paths.listeners().stream()
                        .filter(listener -> listener.ear() == Ear.IN_EARS || listener.ear() == Ear.WEDGE)
                        .filter(listener ->
                                heard.arrival(source, listener).earliest().orElse(0) > FELT)
                        .map(listener -> found(Severity.LOOK)
                                .with("device", source.device())
                                .with("listener", Words.listener(listener))
                                .with(
                                        "late",
                                        Math.round(heard.arrival(source, listener)
                                                        .earliest()
                                                        .orElseThrow()
                                                / 100.0))
                                .cause(paths.away(listener).isPresent() ? "air" : "boxes")
                                .made()));
    }
}
