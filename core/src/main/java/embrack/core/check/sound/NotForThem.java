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
import embrack.core.gear.Ear;
import embrack.core.gear.Passage;
import embrack.core.gear.Sound;
import embrack.core.sound.Arrival;
import embrack.core.sound.Heard;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import embrack.core.sound.Stand;
import embrack.core.sound.Strand;
import java.util.List;
import java.util.stream.Stream;

/** A way leads from a click, a guide, a tone or a reference to ears that must not get it. */
final class NotForThem implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "not-for-them");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        SoundPaths paths = subject.sound();
        Heard heard = paths.heard(Stand.OPEN);
        return paths.sources().stream()
                .filter(source -> source.sound().isSecret())
                .flatMap(source -> paths.listeners().stream()
                        .filter(listener -> !source.sound().isFor(listener.ear()))
                        .filter(listener -> !isSaidOfTheHouse(listener))
                        .filter(listener -> isHeard(heard.arrival(source, listener)))
                        .map(listener -> finding(heard, source, listener)));
    }

    /** What is only said of an output has its own finding. */
    private static boolean isSaidOfTheHouse(Listener listener) {
        return listener.device().isEmpty() && listener.ear() == Ear.HOUSE;
    }

    private static boolean isHeard(Arrival arrival) {
        return arrival.arrives() && arrival.isHeard();
    }

    private Finding finding(Heard heard, Source source, Listener listener) {
        boolean tone = source.sound() == Sound.HEARTBEAT;
        List<Strand> way = heard.way(source, listener);
        return found(!tone && listener.ear() == Ear.WEDGE ? Severity.LOOK : Severity.STOPS)
                .with("device", source.device())
                .with("sound", Words.sound(source))
                .with("listener", Words.listener(listener))
                .with("way", Words.way(way))
                .cause(tone ? "tone" : listener.ear().key())
                .mend(shut(way))
                .made();
    }

    /** The sends on the way, the last first: the nearer to the ears, the less goes with it. */
    private static Remedies shut(List<Strand> way) {
        return () -> way.reversed().stream()
                .filter(strand -> strand.way()
                        .filter(w -> w.passage().send() != Passage.Send.FIXED)
                        .isPresent())
                .map(strand -> new SoundEdit.SetSend(
                        strand.from().device(), strand.way().orElseThrow().route(), "off"))
                .distinct()
                .map(edit -> new Remedy("shut", edit));
    }
}
