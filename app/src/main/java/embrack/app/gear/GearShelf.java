package embrack.app.gear;

import embrack.app.frame.Mark;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Severity;
import embrack.core.gear.Facts;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.Purpose;
import embrack.core.name.Words;
import embrack.core.offer.Unjoined;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Progress.State;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import embrack.core.way.Ways;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The boxes by where they stand, each drawn, with what it is joined to and what is left to do about it.
 *
 * @param count "33 boxes"
 */
record GearShelf(String place, String count, List<Card> boxes) {

    /**
     * A box.
     *
     * @param facts what it is in few words, and whom it works or who works it
     * @param mark what is left; empty when nothing is known of it
     */
    record Card(
            String id,
            String name,
            String model,
            String facts,
            GearDrawing drawing,
            Optional<Mark> mark,
            boolean isSelected) {}

    static List<GearShelf> of(Report report, List<Unjoined> unjoined, Progress progress, Optional<DeviceId> selected) {
        return new Stock(report, unjoined, progress, selected).shelves();
    }

    /** Works out the cards of one plan. */
    private static final class Stock {

        private final Plan plan;
        private final Rig rig;
        private final Ways ways;
        private final List<Finding> findings;
        private final Set<DeviceId> alone;
        private final Progress progress;
        private final Optional<DeviceId> selected;

        Stock(Report report, List<Unjoined> unjoined, Progress progress, Optional<DeviceId> selected) {
            plan = report.plan();
            rig = plan.rig();
            ways = report.prover().ways();
            findings = report.findings();
            alone = unjoined.stream()
                    .flatMap(pair -> Stream.of(pair.sender(), pair.receiver()))
                    .filter(box -> rig.linksIn(box).isEmpty())
                    .collect(Collectors.toSet());
            this.progress = progress;
            this.selected = selected;
        }

        List<GearShelf> shelves() {
            return Stream.of(Area.values())
                    .map(area -> {
                        List<Card> cards = rig.devices().stream()
                                .filter(device -> rig.area(device.id()) == area)
                                .map(this::card)
                                .toList();
                        return new GearShelf(area.words(), Words.count(cards.size(), "box"), cards);
                    })
                    .filter(shelf -> !shelf.boxes.isEmpty())
                    .toList();
        }

        private Card card(Device device) {
            Model model = rig.model(device.id());
            return new Card(
                    device.id().text(),
                    device.name().text(),
                    model.name().text(),
                    facts(device, model),
                    GearDrawing.of(model),
                    mark(device.id()),
                    selected.filter(device.id()::equals).isPresent());
        }

        private String facts(Device device, Model model) {
            DeviceId id = device.id();
            Optional<String> host = device.spot().host().map(rig::name).map(name -> "in " + name);
            if (model.kind() == Kind.HOST) {
                List<String> apps =
                        rig.appsIn(id).stream().map(app -> app.name().text()).toList();
                return apps.isEmpty() ? "nothing runs on it yet" : Words.list(apps);
            }
            String size = Facts.size(model);
            List<DeviceId> works = ways.reach(id).stream()
                    .filter(box -> !box.equals(id) && !rig.model(box).parts().isEmpty())
                    .toList();
            boolean pressed = plan.boards().contains(id) || plan.controllers().contains(id);
            String joined = pressed && !works.isEmpty()
                    ? " \u2192 " + named(works)
                    : workers(id).isEmpty() ? "" : " \u2190 " + named(workers(id)) + channel(id);
            return Stream.of(Optional.of(size + joined), host)
                    .flatMap(Optional::stream)
                    .filter(words -> !words.isBlank())
                    .collect(Collectors.joining(", "));
        }

        private List<DeviceId> workers(DeviceId receiver) {
            return rig.model(receiver).parts().isEmpty()
                    ? List.of()
                    : plan.boards().stream()
                            .filter(board ->
                                    !board.equals(receiver) && ways.reach(board).contains(receiver))
                            .toList();
        }

        private String named(List<DeviceId> boxes) {
            return boxes.size() <= 2
                    ? Words.list(boxes.stream().map(box -> rig.name(box).text()).toList())
                    : Words.count(boxes.size(), "box");
        }

        private String channel(DeviceId receiver) {
            return rig.setting(receiver, Purpose.RECEIVE_CHANNEL)
                    .map(channel -> ", ch " + channel)
                    .orElse("");
        }

        private Optional<Mark> mark(DeviceId box) {
            if (alone.contains(box)) {
                return Optional.of(Mark.of(Severity.LOOK, "join it"));
            }
            Optional<Finding> worst = findings.stream()
                    .filter(finding -> finding.severity() != Severity.NOTE)
                    .filter(finding -> finding.devices().contains(box)
                            || finding.switches().stream()
                                    .anyMatch(at -> at.board().equals(box)))
                    .findFirst();
            return worst.isPresent() ? worst.map(finding -> Mark.of(finding.severity())) : done(box);
        }

        private Optional<Mark> done(DeviceId box) {
            List<Section.Line> lines = progress.sheets().stream()
                    .filter(sheet -> sheet.job() == Sheet.Job.PROGRAM || sheet.job() == Sheet.Job.LEARN)
                    .filter(sheet -> sheet.id().equals(box.text()) || sheet.id().endsWith("-" + box.text()))
                    .flatMap(Sheet::lines)
                    .filter(Section.Line::isWork)
                    .toList();
            long done = lines.stream()
                    .filter(line -> progress.state(line) == State.DONE)
                    .count();
            return lines.isEmpty()
                    ? Optional.empty()
                    : Optional.of(
                            done == lines.size()
                                    ? new Mark("tick", "exact", "programmed")
                                    : Mark.of(
                                            Severity.NOTE,
                                            "%d of %s".formatted(done, Words.count(lines.size(), "line"))));
        }
    }
}
