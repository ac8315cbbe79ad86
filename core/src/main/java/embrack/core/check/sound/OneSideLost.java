package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.SoundEdit;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import embrack.core.sound.Stand;
import java.util.List;
import java.util.stream.Stream;

/** Of two sides one arrives and the other does not: half of the music is missing. */
final class OneSideLost implements Rule {

    private static final int LEFT = 1;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "one-side-lost");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        SoundPaths paths = subject.sound();
        var heard = paths.heard(Stand.OPEN);
        return paths.sources().stream()
                .filter(Source::isStereo)
                .flatMap(source -> paths.listeners().stream()
                        .filter(listener -> listener.device().isPresent())
                        .filter(listener ->
                                heard.arrival(source, listener).lostSides().size() == 1)
                        .map(listener -> found(Severity.LOOK)
                                .with("device", source.device())
                                .with("sound", Words.sound(source))
                                .with("listener", Words.listener(listener))
                                .cause(
                                        heard.arrival(source, listener)
                                                                .lostSides()
                                                                .getFirst()
                                                        == LEFT
                                                ? "left"
                                                : "right")
                                .mend(opened(
                                        paths,
                                        source,
                                        listener,
                                        heard.arrival(source, listener).lostSides()))
                                .made()));
    }

    private static Remedies opened(SoundPaths paths, Source source, Listener listener, List<Integer> lost) {
        Source side = new Source(
                source.device(), source.sound(), List.of(source.sides().get(lost.getFirst() - 1)));
        return () -> paths.openings(side, listener).stream()
                .map(strand -> new SoundEdit.SetSend(
                        strand.from().device(), strand.way().orElseThrow().route(), "0"))
                .distinct()
                .map(edit -> new Remedy("open", edit));
    }
}
