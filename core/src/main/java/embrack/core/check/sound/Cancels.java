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
import embrack.core.rig.Rig;
import embrack.core.sound.Stand;
import embrack.core.sound.Strand;
import java.util.List;
import java.util.stream.Stream;

/** Two ways of the same sound meet with opposite polarity: what both have in common is gone. */
final class Cancels implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "cancels");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        var paths = subject.sound();
        var heard = paths.heard(Stand.OPEN);
        return paths.sources().stream()
                .flatMap(source -> paths.listeners().stream()
                        .filter(listener -> heard.arrival(source, listener).cancels())
                        .map(listener -> found(Severity.STOPS)
                                .with("device", source.device())
                                .with("sound", Words.sound(source))
                                .with("listener", Words.listener(listener))
                                .mend(turned(paths.rig(), heard.way(source, listener)))
                                .made()));
    }

    private static Remedies turned(Rig rig, List<Strand> way) {
        return () -> way.stream()
                .map(strand -> strand.from().socket())
                .distinct()
                .filter(socket -> rig.device(socket.device()).sound().inverted().contains(socket.port()))
                .map(socket ->
                        new Remedy("turn-back", new SoundEdit.TurnPolarity(socket.device(), socket.port(), false)));
    }
}
