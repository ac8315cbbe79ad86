package embrack.core.check.lights;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.ChaseEdit;
import embrack.core.light.Chase;
import embrack.core.light.Pace;
import embrack.core.music.Tempo;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.world.Engine;
import embrack.core.world.TempoLinks;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A chase goes with the beat, and its desk follows no clock, or none comes to it. */
final class NoBeat implements Rule {

    private static final long MICROS_PER_MILLI = 1_000;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "no-beat");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        List<Chase> beaten = plan.lights().chases().stream()
                .filter(chase -> chase.pace() instanceof Pace.OnBeat)
                .filter(chase -> chase.at().isPresent())
                .toList();
        if (beaten.isEmpty()) {
            return Stream.empty();
        }
        TempoLinks links = TempoLinks.of(plan, () -> new Engine(plan, subject.ways()));
        return beaten.stream().flatMap(chase -> finding(plan, chase, links).stream());
    }

    private Optional<Finding> finding(Plan plan, Chase chase, TempoLinks links) {
        DeviceId desk = chase.at().orElseThrow().desk();
        List<DeviceId> senders = links.followed().get(desk);
        return senders != null && !senders.isEmpty()
                ? Optional.empty()
                : Optional.of(found(Severity.LOOK)
                        .cause(senders == null ? "deaf" : "none")
                        .with("chase", chase.name())
                        .with("desk", desk)
                        .mend(timed(plan, chase))
                        .made());
    }

    /** The time that a step has at the tempo of the first song that runs it. */
    private static Optional<Remedy> timed(Plan plan, Chase chase) {
        Tempo tempo = plan.book().songs().stream()
                .filter(song -> song.cues().stream()
                        .flatMap(cue -> cue.steps().stream())
                        .anyMatch(
                                step -> plan.chaseOf(step).filter(chase::equals).isPresent()))
                .map(song -> song.form().tempoMap().tempo(0))
                .min(Comparator.naturalOrder())
                .orElse(Pace.ANY_TEMPO);
        long millis = Math.round(chase.pace().micros(tempo) / (double) MICROS_PER_MILLI);
        if (millis < Pace.SHORTEST || millis > Pace.LONGEST) {
            return Optional.empty();
        }
        Pace pace = new Pace.Timed((int) millis);
        return Optional.of(new Remedy("time", new ChaseEdit.ChangePace(chase.id(), pace))
                .with("pace", pace.words())
                .with("tempo", tempo.toString()));
    }
}
