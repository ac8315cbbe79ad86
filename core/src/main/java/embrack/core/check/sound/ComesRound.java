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
import embrack.core.gear.Passage;
import embrack.core.rig.DeviceId;
import embrack.core.sound.Strand;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Sound comes back to where it was: it howls, or grows until something gives way. */
final class ComesRound implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "comes-round");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        List<Finding> findings = new ArrayList<>();
        Set<Set<DeviceId>> told = new HashSet<>();
        for (List<Strand> ring : subject.sound().rings()) {
            Set<DeviceId> boxes = new HashSet<>();
            ring.forEach(strand -> boxes.add(strand.from().device()));
            if (told.add(boxes)) {
                findings.add(found(Severity.STOPS)
                        .with("device", ring.getFirst().from().device())
                        .with("way", Words.way(ring))
                        .mend(shut(ring))
                        .made());
            }
        }
        return findings.stream();
    }

    private static Remedies shut(List<Strand> ring) {
        return () -> ring.stream()
                .filter(strand -> strand.way()
                        .filter(w -> w.passage().send() != Passage.Send.FIXED)
                        .isPresent())
                .map(strand -> new Remedy(
                        "shut",
                        new SoundEdit.SetSend(
                                strand.from().device(),
                                strand.way().orElseThrow().route(),
                                "off")));
    }
}
