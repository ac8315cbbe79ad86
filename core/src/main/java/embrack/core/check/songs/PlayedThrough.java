package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.offer.Vamp;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.CueAt;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Song;
import embrack.core.sim.CueProof;
import embrack.core.sim.SongProof;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A section is to go round, and in other songs the player is told to by a cue, but here by none: it plays it once, and
 * the rest of the evening comes sooner than its order says.
 */
final class PlayedThrough implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "played-through");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().songs().stream()
                .flatMap(proof -> proof.player().stream()
                        .filter(player -> Vamp.isBegunByCues(subject.plan(), player)
                                && !Vamp.isBegunByFeet(subject.plan(), player))
                        .flatMap(player -> check(subject.plan(), proof, player).stream()));
    }

    private List<Finding> check(Plan plan, SongProof proof, DeviceId player) {
        List<Finding> found = new ArrayList<>();
        Song song = proof.song();
        Form form = song.form();
        for (int i = 0; i < form.sections().size(); i++) {
            Section section = form.sections().get(i);
            long end = form.endMicros(i);
            if (section.vamp() && section.passes() > 1 && !isOn(plan, proof, player, end)) {
                found.add(found(Severity.LOOK)
                        .with("song", song)
                        .with("vamp", section.name())
                        .with("passes", section.passes())
                        .with("less", (section.passes() - 1) * (end - form.startMicros(i)))
                        .with("player", player)
                        .in(List.of(CueAt.whole(song.id())))
                        .made());
            }
        }
        return found;
    }

    /** Whether a player was told to go round last, of all that it is told by the cues of a song up to a moment. */
    private static boolean isOn(Plan plan, SongProof proof, DeviceId player, long micros) {
        Optional<Step> last = Stream.concat(proof.always().stream(), proof.cues().stream())
                .filter(cue -> cue.beginsMicros(proof.song()) < micros)
                .sorted(Comparator.comparingLong((CueProof cue) -> cue.beginsMicros(proof.song())))
                .flatMap(cue -> cue.cue().steps().stream())
                .filter(step -> Vamp.isAbout(plan, player, step))
                .reduce((before, after) -> after);
        return last.filter(step -> Vamp.begins(plan, player, step)).isPresent();
    }
}
