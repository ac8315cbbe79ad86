package embrack.core.check.switches;

import embrack.core.check.rule.Subject;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.Obstacle;
import embrack.core.sim.Verdict;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import java.util.List;
import java.util.stream.Stream;

/** A step that an obstacle of one type stops. */
record Stopped<O extends Obstacle>(SwitchAt at, CompiledStep step, O obstacle) {

    /** All steps that are stopped by obstacles of a type, in order. */
    static <O extends Obstacle> Stream<Stopped<O>> all(Subject subject, Class<O> type) {
        return subject.proofs().stream()
                .filter(proof -> proof.verdict() == Verdict.NO_WAY)
                .flatMap(proof -> proof.steps().stream()
                        .flatMap(step -> step
                                .obstacle()
                                .filter(type::isInstance)
                                .map(type::cast)
                                .map(obstacle -> new Stopped<>(proof.at(), step, obstacle))
                                .stream()));
    }

    /** What their steps are to do, each once, without waits. */
    static <O extends Obstacle> List<Fact> deeds(List<Stopped<O>> stopped) {
        return stopped.stream()
                .map(s -> s.step().step().withWait(0))
                .distinct()
                .<Fact>map(Fact.Deed::new)
                .toList();
    }
}
