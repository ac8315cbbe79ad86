package embrack.core.sheet;

import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.gear.Board;
import embrack.core.gear.Counter;
import embrack.core.midi.ProgramCounting;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.offer.Walk;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.Section.Task;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What is gone through step by step, as sheets say it: the walk of a board that counts, the table of its receiver. */
final class WalkSections {

    private final Plan plan;

    WalkSections(Plan plan) {
        this.plan = plan;
    }

    /** The programs of a table that were edited, to be set at the box. */
    Optional<Section> table(Device device) {
        Chart chart = plan.rig().chart(device.id());
        ProgramCounting programs = chart.conventions().shownPrograms();
        return device.table().isEmpty()
                ? Optional.empty()
                : Optional.of(new Section.Todo(
                        "Program table",
                        device.table().entrySet().stream()
                                .map(entry -> new Task(
                                        "%s/table/%d".formatted(device.id(), entry.getKey()),
                                        "Program %d: %s"
                                                .formatted(
                                                        entry.getKey() + programs.first(),
                                                        named(device, entry.getValue()))))
                                .toList()));
    }

    private String named(Device device, PartId part) {
        TapeLabel printed = plan.rig().printedName(device.id(), part);
        return Optional.ofNullable(device.labels().get(part))
                .map(tape -> "%s (%s)".formatted(printed, tape))
                .orElse(printed.text());
    }

    /** What each position of a board that counts brings; there is nothing to program in it. */
    List<Section> walk(DeviceId id, Board board, Counter counter) {
        Optional<DeviceId> receiver = Walk.receiver(plan, id);
        List<Optional<PartId>> planned = Walk.planned(plan, id);
        List<Walk.Stop> stops = receiver.map(to -> Walk.ofTheShow(plan, to)).orElse(List.of());
        return receiver.stream()
                .<Section>map(to -> new Section.Todo(
                        "Where it stands, and what sounds then on %s"
                                .formatted(plan.rig().name(to)),
                        Stream.concat(
                                        Stream.of(new Task(
                                                "%s/walk".formatted(id),
                                                ("Switch %d goes a step on, switch %d a step back, from where it"
                                                                + " stands itself; nothing to program. It stands at %s"
                                                                + " when it is switched on, and has sent nothing: %s"
                                                                + " brings the first sound.")
                                                        .formatted(
                                                                counter.up(),
                                                                counter.down(),
                                                                board.banks().getFirst(),
                                                                counter.round()
                                                                        ? "a step up and one down"
                                                                        : "a step down"),
                                                false)),
                                        IntStream.range(0, planned.size())
                                                .filter(i -> planned.get(i).isPresent())
                                                .mapToObj(i -> position(
                                                        id,
                                                        to,
                                                        board,
                                                        i,
                                                        planned.get(i).get(),
                                                        stops)))
                                .toList()))
                .toList();
    }

    /** Whether a switch is one of the two of a board that counts. */
    boolean has(SwitchAt at) {
        return at.of().isEmpty()
                && Walk.counter(plan, at.board())
                        .filter(steps -> steps.has(at.number()))
                        .isPresent();
    }

    /** How the walk of a board is tried. */
    Optional<Task> tried(DeviceId id) {
        List<Optional<PartId>> planned = Walk.planned(plan, id);
        return Walk.receiver(plan, id)
                .map(receiver -> new Task(
                        "try/%s/walk".formatted(id),
                        "%s: step up through all and back. %s: %s."
                                .formatted(
                                        plan.rig().name(id),
                                        plan.rig().name(receiver),
                                        Words.list(planned.stream()
                                                .flatMap(Optional::stream)
                                                .map(part -> plan.rig()
                                                        .partName(receiver, part)
                                                        .text())
                                                .toList()))));
    }

    private Task position(DeviceId id, DeviceId receiver, Board board, int index, PartId part, List<Walk.Stop> stops) {
        Optional<Walk.At> where = index < stops.size() ? stops.get(index).where() : Optional.empty();
        return new Task(
                "%s/walk/%d".formatted(id, index + 1),
                "%s: %s%s"
                        .formatted(
                                board.banks().get(index),
                                named(plan.rig().device(receiver), part),
                                where.map(at -> ", for %s, %s".formatted(at.song(), at.section()))
                                        .orElse("")),
                false);
    }
}
