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
import embrack.core.sim.SongProof;
import embrack.core.word.Fact;
import embrack.core.world.Lane;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Two cues of a song at one instant are about the same thing. */
final class SameInstant implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "same-instant");
    }

    private record Moment(long micros, Lane lane) {}

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().songs().stream().flatMap(proof -> check(subject.plan(), proof).stream());
    }

    private List<Finding> check(Plan plan, SongProof proof) {
        Map<Moment, CueProof> first = new HashMap<>();
        List<Finding> found = new ArrayList<>();
        for (CueProof cue : proof.cues()) {
            for (Place place : cue.targets()) {
                CueProof other = cue.micros().isEmpty()
                        ? null
                        : first.putIfAbsent(new Moment(cue.micros().get(), Lane.of(plan.rig(), place)), cue);
                if (other != null && other != cue) {
                    found.add(finding(proof.song(), other, cue, place));
                    break;
                }
            }
        }
        return found;
    }

    private Finding finding(Song song, CueProof one, CueProof other, Place place) {
        return found(Severity.LOOK)
                .with("at", Fact.of(song, other.cue()))
                .with("place", new Fact.PartOf(place.device(), place.part()))
                .in(List.of(
                        new CueAt(song.id(), one.cue().number()),
                        new CueAt(song.id(), other.cue().number())))
                .made();
    }
}
