package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Ear;
import embrack.core.gear.Sound;
import embrack.core.sound.Heard;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import embrack.core.sound.Stand;
import java.util.Optional;
import java.util.stream.Stream;

/** A click that nobody's ears get. Without in-ears there is no click. */
final class NoInEars implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "no-in-ears");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        SoundPaths paths = subject.sound();
        Heard heard = paths.heard(Stand.OPEN);
        return paths.sources().stream()
                .filter(source -> source.sound() == Sound.CLICK || source.sound() == Sound.GUIDE)
                .filter(source -> !isInEars(paths, heard, source))
                .filter(source -> first(paths, source)
                        .filter(first -> isInEars(paths, heard, first))
                        .isEmpty())
                .map(source -> found(Severity.LOOK)
                        .with("device", source.device())
                        .word("sound", source.sound().words())
                        .made());
    }

    private static boolean isInEars(SoundPaths paths, Heard heard, Source source) {
        return paths.listeners().stream()
                .filter(listener -> listener.ear() == Ear.IN_EARS)
                .anyMatch(listener -> heard.arrival(source, listener).arrives());
    }

    /** The same sound of the one for which its device stands in: what the second lacks is told of the pair. */
    private static Optional<Source> first(SoundPaths paths, Source source) {
        return paths.rig().pairs().stream()
                .filter(pair -> pair.second().equals(source.device()))
                .findFirst()
                .map(pair -> paths.of(pair.first()).get(source.sound()));
    }
}
