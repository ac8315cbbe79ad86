package embrack.app.switches;

import embrack.core.edit.RowEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.Surface;
import embrack.core.name.TapeLabel;
import embrack.core.offer.Rows;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A whole row of a box, filled by one sentence: shown first, then kept.
 *
 * @param path of the row
 * @param back to the floor plan
 * @param kinds what can be filled
 * @param lines what would do what
 */
record RowPage(
        String box,
        String bank,
        String path,
        String back,
        List<Kind> kinds,
        boolean hasBanks,
        boolean inEveryBank,
        String which,
        String what,
        List<Line> lines) {

    /** Switches, pads, faders. */
    record Kind(String key, String words, boolean isChosen) {}

    /** A switch or fader, what it would do, the messages, and what it does now. */
    record Line(String at, String does, String messages, String instead) {}

    static RowPage of(
            Plan plan, DeviceId box, int bank, Optional<ControlType> of, boolean every, String which, String what) {
        String path = "/switches/%s/%d/row".formatted(box, bank);
        var model = plan.rig().model(box);
        List<String> banks = model.board()
                .map(shape -> shape.banks().stream().map(TapeLabel::text).toList())
                .orElse(List.of());
        return new RowPage(
                plan.rig().name(box).text(),
                bank <= banks.size() ? banks.get(bank - 1) : "",
                path,
                BoardView.first(plan, box, bank, ""),
                kinds(model.surface(), of),
                banks.size() > 1,
                every,
                which,
                what,
                List.of());
    }

    /** What can be filled on a surface: what is pressed, then what is moved. */
    static List<Optional<ControlType>> fillable(Surface surface) {
        return Stream.concat(
                        surface.pressed().stream(),
                        surface.groups().stream()
                                .map(group -> group.type())
                                .filter(ControlType::isSwept)
                                .distinct()
                                .map(Optional::of))
                .toList();
    }

    private static List<Kind> kinds(Surface surface, Optional<ControlType> of) {
        return fillable(surface).stream()
                .map(kind -> new Kind(
                        kind.map(ControlType::key).orElse(""),
                        kind.map(ControlType::words).map(words -> words + "s").orElse("switches"),
                        kind.equals(of)))
                .toList();
    }

    RowPage with(List<Line> others) {
        return new RowPage(box, bank, path, back, kinds, hasBanks, inEveryBank, which, what, others);
    }

    static List<Line> lines(Plan plan, RowEdit.FillPressed edit) {
        return edit.row(plan).stream().map(each -> line(plan, each)).toList();
    }

    private static Line line(Plan plan, Rows.Pressed each) {
        PanelView.OfferRow offer = PanelView.offer(plan, each.at(), each.offer());
        return new Line(
                each.at().words(),
                offer.words(),
                offer.message() + (offer.obstacle().isEmpty() ? "" : " (" + offer.obstacle() + ")"),
                plan.switches().at(each.at()).steps().isEmpty()
                        ? ""
                        : String.join(
                                ", ",
                                plan.switches().at(each.at()).steps().stream()
                                        .map(plan::words)
                                        .toList()));
    }

    static List<Line> lines(Plan plan, RowEdit.FillMoved edit) {
        return edit.row(plan).stream()
                .map(each -> new Line(
                        each.at().words(),
                        plan.words(each.target()),
                        "",
                        String.join(
                                ", ",
                                plan.switches().at(each.at()).targets().stream()
                                        .map(plan::words)
                                        .toList())))
                .toList();
    }
}
