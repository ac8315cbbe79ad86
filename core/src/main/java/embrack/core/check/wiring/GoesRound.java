package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.WiringEdit;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.SwitchAt;
import embrack.core.way.Loops;
import java.util.List;
import java.util.stream.Stream;

/** A way that comes back to itself. */
final class GoesRound implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "loop");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Loops loops = new Loops(subject.ways());
        return loops.all().stream().map(loop -> {
            Link cut = loops.cut(loop);
            List<DeviceId> boxes = loop.hops().stream()
                    .map(hop -> hop.from().device())
                    .distinct()
                    .toList();
            List<SwitchAt> around = around(subject, loop);
            Found found = found(Severity.STOPS);
            return (around.isEmpty() ? found : found.about(around))
                    .with("boxes", boxes)
                    .with("first", boxes.getFirst())
                    .with("cut", cut)
                    .mend("pull", new WiringEdit.Disconnect(cut.from(), cut.to()))
                    .made();
        });
    }

    /** The switches of which nobody knows what they do, since their messages come round in it. */
    private static List<SwitchAt> around(Subject subject, Loops.Loop loop) {
        return subject.proofs().stream()
                .filter(proof -> proof.verdict() == Verdict.NOT_KNOWN
                        && proof.cameRoundAt().filter(loop::passes).isPresent())
                .map(Proof::at)
                .distinct()
                .toList();
    }
}
