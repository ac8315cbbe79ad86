package embrack.core.check.sound;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Verb;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.HandEdit;
import embrack.core.live.Soundscape;
import embrack.core.live.Soundscape.Silent;
import embrack.core.rig.Rig;
import embrack.core.sound.Source;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Something begins to sound while what is on its way is muted or stands at nothing: the press is not heard. */
final class SilentStart implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "silent-start");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        if (subject.sound().listeners().isEmpty()) {
            return Stream.empty();
        }
        Map<List<Object>, Silent> first = new LinkedHashMap<>();
        new Soundscape(subject.plan(), subject.sound())
                .silent()
                .forEach(silent -> first.putIfAbsent(List.of(silent.source(), silent.shut()), silent));
        return first.values().stream().map(silent -> finding(subject.plan().rig(), silent));
    }

    private Finding finding(Rig rig, Silent silent) {
        Source source = silent.source();
        Place shut = silent.shut();
        Found found = found(Severity.LOOK)
                .with("device", source.device())
                .with("sound", Words.sound(source))
                .with("part", new Fact.PartOf(shut.device(), shut.part()))
                .word("stands", shut.word(rig, silent.value()))
                .mend(opened(rig, shut));
        silent.at().ifPresent(found::about);
        silent.song().ifPresent(song -> found.with("song", song));
        return found.cause(silent.at().isPresent() ? "press" : "song").made();
    }

    /** People open it at doors; a level goes to its top. */
    private static Remedies opened(Rig rig, Place shut) {
        Optional<Action> state =
                switch (shut.aspect()) {
                    case MUTED -> Optional.of(new Action(Verb.OPEN, shut.part()));
                    case LEVEL -> Optional.of(new Action(Verb.LEVEL, shut.part(), Optional.of(Aspect.LEVEL.far())));
                    default -> Optional.empty();
                };
        return state.map(action -> Remedies.of(new Remedy(
                        "at-doors", new HandEdit.SetAtDoors(shut.device(), rig.words(shut.device(), action)))))
                .orElse(Remedies.NONE);
    }
}
