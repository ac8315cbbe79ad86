package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Sound;
import embrack.core.sound.Heard;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import embrack.core.sound.Stand;
import java.util.stream.Stream;

/** A lead is plugged into it, and yet nobody hears it, however everything stands. */
final class Unheard implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "unheard");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        SoundPaths paths = subject.sound();
        Heard heard = paths.heard(Stand.OPEN);
        return paths.sources().stream()
                .filter(source -> source.sound() != Sound.HEARTBEAT && isJoined(paths, source))
                .filter(source -> paths.listeners().stream()
                        .noneMatch(listener -> heard.arrival(source, listener).arrives()))
                .map(source -> found(Severity.LOOK)
                        .with("device", source.device())
                        .with("sound", Words.sound(source))
                        .cause(paths.listeners().stream().allMatch(Unheard::isOnlySaid) ? "no-ears" : "no-way")
                        .made());
    }

    private static boolean isOnlySaid(Listener listener) {
        return listener.device().isEmpty();
    }

    private static boolean isJoined(SoundPaths paths, Source source) {
        return source.sides().stream().anyMatch(side -> paths.isJoined(side.socket()));
    }
}
