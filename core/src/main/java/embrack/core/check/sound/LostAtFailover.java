package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.rig.Pair;
import embrack.core.sound.Arrival;
import embrack.core.sound.Changeover;
import embrack.core.sound.Heard;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import embrack.core.sound.Stand;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Ears that hear something of the first of a pair do not hear it of the second once that is in, or by 3 dB and more
 * louder or softer, which everybody notices (common practice, no source). What the second does not make at all is told
 * by comparing the two.
 */
final class LostAtFailover implements Rule {

    private static final double NOTICED = 3;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "lost-at-failover");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        SoundPaths paths = subject.sound();
        return paths.rig().pairs().stream().flatMap(pair -> check(paths, pair));
    }

    private Stream<Finding> check(SoundPaths paths, Pair pair) {
        if (paths.of(pair.first()).isEmpty()) {
            return Stream.empty();
        }
        Heard before = paths.heard(Changeover.first(paths, pair, Stand.OPEN));
        Heard after = paths.heard(Changeover.second(paths, pair, Stand.OPEN));
        return paths.of(pair.first()).values().stream()
                .flatMap(source -> Optional.ofNullable(paths.of(pair.second()).get(source.sound())).stream()
                        .flatMap(other -> check(paths, pair, source, other, before, after)));
    }

    private Stream<Finding> check(SoundPaths paths, Pair pair, Source source, Source other, Heard before, Heard after) {
        List<Listener> lost = paths.listeners().stream()
                .filter(listener -> before.arrival(source, listener).isHeard()
                        && !after.arrival(other, listener).isHeard())
                .toList();
        List<Listener> jump = paths.listeners().stream()
                .filter(listener -> jumps(before.arrival(source, listener), after.arrival(other, listener)))
                .toList();
        return Stream.of(finding("lost", pair, source, lost), finding("jump", pair, source, jump))
                .flatMap(Optional::stream);
    }

    private static boolean jumps(Arrival one, Arrival other) {
        return one.isHeard()
                && other.isHeard()
                && Math.abs(one.gain().decibels() - other.gain().decibels()) >= NOTICED;
    }

    private Optional<Finding> finding(String cause, Pair pair, Source source, List<Listener> ears) {
        return ears.isEmpty()
                ? Optional.empty()
                : Optional.of(found(Severity.LOOK)
                        .with("one", pair.first())
                        .with("other", pair.second())
                        .with("sound", Words.sound(source))
                        .with("listeners", ears.stream().map(Words::listener).toList())
                        .cause(cause)
                        .made());
    }
}
