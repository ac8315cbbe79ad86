package embrack.core.check.power;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Power;
import embrack.core.power.Feeding;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Rig;
import embrack.core.show.Running;
import java.util.Optional;
import java.util.stream.Stream;

/** A box runs from batteries, since nothing charges it, and they do not last the evening. */
final class BatteryShort implements Rule {

    private static final long HOUR_MICROS = 3_600_000_000L;

    /** What comes before the first press with all on: setting up, sound check. Common practice, no source. */
    private static final long BEFORE_MICROS = 2 * HOUR_MICROS;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.POWER, "battery-short");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return subject.plan().book().tonight().stream()
                .map(show -> Running.of(subject.plan().book(), show))
                .flatMap(running -> new PowerPlan(rig)
                        .feedings().stream()
                                .filter(feeding -> feeding.isBy(Power.Source.BATTERY))
                                .flatMap(feeding -> finding(rig, feeding, running.endMicros()).stream()));
    }

    private Optional<Finding> finding(Rig rig, Feeding feeding, long showMicros) {
        long lasts = rig.model(feeding.device()).power().orElseThrow().batteryHours() * HOUR_MICROS;
        return lasts == 0 || lasts >= BEFORE_MICROS + showMicros
                ? Optional.empty()
                : Optional.of(found(Severity.LOOK)
                        .with("device", feeding.device())
                        .with("lasts", lasts)
                        .with("show", showMicros)
                        .with("before", BEFORE_MICROS)
                        .made());
    }
}
