package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.plan.Plan;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.CueProof;
import embrack.core.sim.Proof;
import embrack.core.sim.SongProof;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import embrack.core.world.Lane;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** A foot and a cue are about one thing at nearly one time, so that the order of the two is luck. */
final class FootAgainstCue implements Rule {

    /** How exact a foot is, one second either way. Common practice, no source. */
    static final long FOOT_MICROS = 1_000_000;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "foot-against-cue");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<SwitchAt, Set<Place>> pressed = new HashMap<>();
        for (Proof proof : subject.proofs()) {
            pressed.computeIfAbsent(proof.at(), at -> new HashSet<>()).addAll(proof.targets());
        }
        return subject.book().songs().stream().flatMap(proof -> check(subject.plan(), proof, pressed).stream());
    }

    private List<Finding> check(Plan plan, SongProof proof, Map<SwitchAt, Set<Place>> pressed) {
        List<Finding> found = new ArrayList<>();
        for (CueProof foot : proof.cues()) {
            if (foot.cue().foot().isEmpty() || foot.micros().isEmpty()) {
                continue;
            }
            Set<Place> theirs = pressed.getOrDefault(foot.cue().foot().get(), Set.of());
            Set<Lane> lanes = new HashSet<>();
            theirs.forEach(place -> lanes.add(Lane.of(plan.rig(), place)));
            for (CueProof cue : proof.cues()) {
                boolean near = cue.micros()
                        .filter(at -> Math.abs(at - foot.micros().get()) < FOOT_MICROS)
                        .isPresent();
                if (near) {
                    cue.targets().stream()
                            .filter(place -> lanes.contains(Lane.of(plan.rig(), place)) && !isSame(plan, foot, cue))
                            .findFirst()
                            .ifPresent(place -> found.add(finding(proof.song(), foot, cue, place)));
                }
            }
        }
        return found;
    }

    /** Whether both do just the same, so that the order does not matter. */
    private static boolean isSame(Plan plan, CueProof foot, CueProof cue) {
        return plan.switches().at(foot.cue().foot().orElseThrow()).steps().stream()
                        .map(s -> s.withWait(0))
                        .toList()
                        .containsAll(cue.cue().steps().stream()
                                .map(s -> s.withWait(0))
                                .toList())
                && cue.cue().steps().stream()
                        .noneMatch(step -> step.action().verb().turnsRound());
    }

    private Finding finding(Song song, CueProof foot, CueProof cue, Place place) {
        long apart = cue.micros().orElseThrow() - foot.micros().orElseThrow();
        return found(Severity.LOOK)
                .about(foot.cue().foot().orElseThrow())
                .with("at", Fact.of(song, foot.cue()))
                .with("apart", apart)
                .with("place", new Fact.PartOf(place.device(), place.part()))
                .in(List.of(
                        new CueAt(song.id(), foot.cue().number()),
                        new CueAt(song.id(), cue.cue().number())))
                .made();
    }
}
