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
import embrack.core.gear.Sound;
import embrack.core.sound.Heard;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import embrack.core.sound.Stand;
import embrack.core.word.Fact;
import java.util.List;
import java.util.stream.Stream;

/** Somebody cannot play without something, and no way brings it to their ears. */
final class WithoutWanted implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "without-wanted");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        SoundPaths paths = subject.sound();
        Heard heard = paths.heard(Stand.OPEN);
        return paths.listeners().stream()
                .flatMap(listener -> listener.device().stream()
                        .flatMap(device -> paths.rig().device(device).sound().wants().stream())
                        .filter(sound -> paths.sources().stream()
                                .filter(source -> source.sound() == sound)
                                .noneMatch(source ->
                                        heard.arrival(source, listener).isHeard()))
                        .map(sound -> finding(paths, sound, listener)));
    }

    private Finding finding(SoundPaths paths, Sound sound, Listener listener) {
        List<Source> sources = paths.sources().stream()
                .filter(source -> source.sound() == sound)
                .toList();
        return found(Severity.STOPS)
                .with("listener", Words.listener(listener))
                .with("sound", Fact.word(sound.words()))
                .cause(sources.isEmpty() ? "none" : "no-way")
                .mend(opened(paths, sources, listener))
                .made();
    }

    private static Remedies opened(SoundPaths paths, List<Source> sources, Listener listener) {
        return () -> sources.stream()
                .flatMap(source -> paths.openings(source, listener).stream())
                .map(strand -> new SoundEdit.SetSend(
                        strand.from().device(), strand.way().orElseThrow().route(), "0"))
                .distinct()
                .map(edit -> new Remedy("open", edit));
    }
}
