package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.Edit;
import embrack.core.edit.InTurn;
import embrack.core.edit.OrderEdit;
import embrack.core.edit.SongEdit;
import embrack.core.offer.Shortening;
import embrack.core.show.Running;
import embrack.core.show.ShowId;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** The show is longer than its slot. */
final class TooLong implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "too-long");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return Tonight.of(subject)
                .filter(running -> running.roomMicros().filter(room -> room < 0).isPresent())
                .map(running -> found(Severity.LOOK)
                        .with("show", running.show().name())
                        .with("takes", running.endMicros())
                        .with("over", -running.roomMicros().orElseThrow())
                        .mend(() -> Shortening.of(subject.plan().book(), running).stream()
                                .map(ways -> remedy(running, ways)))
                        .made())
                .stream();
    }

    private static Remedy remedy(Running running, List<Shortening> ways) {
        Shortening first = ways.getFirst();
        if (ways.size() > 1) {
            return new Remedy(
                            "several",
                            new InTurn(
                                    ways.stream().map(way -> edit(running, way)).toList()))
                    .with(
                            "parts",
                            ways.stream()
                                    .map(way -> way.entry().name())
                                    .distinct()
                                    .toList())
                    .with("gained", ways.stream().mapToLong(Shortening::gained).sum());
        }
        return new Remedy(first.way().name().toLowerCase(Locale.ROOT).replace('_', '-'), edit(running, first))
                .with("value", first.value())
                .with("part", first.entry().name())
                .with("gained", first.gained());
    }

    private static Edit edit(Running running, Shortening way) {
        ShowId show = running.show().id();
        int part = way.entry().number();
        return switch (way.way()) {
            case GO_ON -> new OrderEdit.GoOverIn(show, part, way.value());
            case FEWER_PASSES ->
                new SongEdit.PlayVamp(way.entry().song().orElseThrow(), way.section(), (int) way.value());
            case SAY_LESS -> new OrderEdit.TakeAsLong(show, part, way.value());
            case TRIM -> new SongEdit.TrimEnd(way.entry().song().orElseThrow(), way.value());
            case LEAVE_OUT -> new OrderEdit.RemovePart(show, part);
        };
    }
}
