package embrack.core.check.switches;

import embrack.core.check.rule.Subject;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.Obstacle;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Verdict;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
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

    /** The board and the device it does not reach. */
    record Ends(DeviceId board, DeviceId device) implements Comparable<Ends> {
        @Override
        public int compareTo(Ends other) {
            int byBoard = board.compareTo(other.board);
            return byBoard != 0 ? byBoard : device.compareTo(other.device);
        }
    }

    Ends ends() {
        return new Ends(at.board(), step.step().device());
    }

    static <O extends Obstacle> Map<Ends, List<SwitchAt>> switchesByEnds(Stream<Stopped<O>> stopped) {
        return stopped.collect(Collectors.groupingBy(
                Stopped::ends, TreeMap::new, Collectors.mapping(Stopped::at, Collectors.toList())));
    }
}
