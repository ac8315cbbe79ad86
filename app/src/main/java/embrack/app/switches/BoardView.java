package embrack.app.switches;

import embrack.app.frame.Mark;
import embrack.core.check.Report;
import embrack.core.gear.Board;
import embrack.core.gear.ControlType;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Tread;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.ShortForm;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A controller seen from above, one bank of it.
 *
 * @param bank the bank, counted from 1
 * @param otherBanks banks that this one can be made like, by number
 */
record BoardView(
        String id,
        String name,
        String facts,
        List<Tab> boards,
        List<Tab> banks,
        int bank,
        Map<Integer, String> otherBanks,
        List<Rows> rows,
        List<ControlTile> controls) {

    /**
     * Switches, pads, keys or buttons as they lie, from the back to the front.
     *
     * @param title "Pads"; empty for the switches
     * @param isOpen whether they are seen at once: those of which there are few, or one is used
     */
    record Rows(String title, int columns, List<Tile> tiles, boolean isOpen) {}

    /** Keys, and others of which there are as many, are folded away until one is used. */
    private static final int MANY = 32;

    /** More do not fit in a row of the page. */
    private static final int WIDEST = 8;

    /** With more banks than this, their tabs bear the names alone. */
    private static final int MANY_BANKS = 8;

    /** A board or a bank to go to. */
    record Tab(String words, String href, boolean isHere) {}

    /**
     * A switch.
     *
     * @param place which one of its bank, in one word
     * @param key what it is on the clipboard
     * @param tread what a press of it with its release is in a form
     * @param shown what the box's own display shows for it; empty when it shows no names
     * @param does what it does, shortened, a line a device
     */
    record Tile(
            String place,
            String words,
            int number,
            String key,
            String href,
            String tread,
            String label,
            String shown,
            List<String> does,
            Purpose duty,
            Optional<Mark> mark,
            boolean isSelected) {}

    /** What it is for in the show as a whole. */
    record Purpose(String words, boolean isKill) {}

    /** A treadle, fader or knob; {@code curve} as the path of its first level in a square of 100. */
    record ControlTile(
            String words,
            String href,
            String label,
            List<String> moves,
            String curve,
            Optional<Mark> mark,
            boolean isSelected) {}

    /** The floor plan around a switch. */
    static BoardView of(Report report, SwitchAt selected, String path) {
        return of(report, selected.board(), selected.bank(), path, Optional.of(selected), Optional.empty());
    }

    /** The floor plan around a treadle, fader or knob. */
    static BoardView of(Report report, ControlAt selected, String path) {
        return of(report, selected.box(), selected.bank(), path, Optional.empty(), Optional.of(selected));
    }

    private static BoardView of(
            Report report,
            DeviceId box,
            int bank,
            String path,
            Optional<SwitchAt> selected,
            Optional<ControlAt> control) {
        Plan plan = report.plan();
        Optional<Board> shape = plan.rig().model(box).board();
        int banks = plan.banks(box);
        Map<Integer, String> others = new LinkedHashMap<>();
        shape.filter(board -> board.factory().counter().isEmpty())
                .ifPresent(board -> IntStream.rangeClosed(1, banks)
                        .filter(other -> other != bank)
                        .forEach(other ->
                                others.put(other, board.banks().get(other - 1).text())));
        return new BoardView(
                box.text(),
                plan.rig().name(box).text(),
                "%s, seen from above".formatted(plan.rig().model(box).name()),
                plan.controllers().stream()
                        .map(b -> new Tab(plan.rig().name(b).text(), first(plan, b, 1, path), b.equals(box)))
                        .toList(),
                shape.filter(board -> board.factory().counter().isEmpty())
                        .map(board -> IntStream.rangeClosed(1, banks)
                                .mapToObj(other -> new Tab(
                                        (banks > MANY_BANKS ? "" : "Bank ")
                                                + board.banks().get(other - 1),
                                        first(plan, box, other, path),
                                        other == bank))
                                .toList())
                        .orElse(List.of()),
                bank,
                others,
                plan.rig().model(box).surface().pressed().stream()
                        .map(of -> rows(report, new SwitchAt(box, of, bank, 1), selected, path))
                        .toList(),
                plan.controlsOf(box, bank).stream()
                        .map(at -> control(report, at, control, path))
                        .toList());
    }

    static String href(String path, SwitchAt at) {
        return "%s/switches/%s/%d/%s".formatted(path, at.board(), at.bank(), at.place());
    }

    static String href(String path, ControlAt at) {
        return "%s/switches/%s/%d/%s/%d"
                .formatted(path, at.box(), at.bank(), at.type().key(), at.number());
    }

    /** The first switch or control of a bank. */
    static String first(Plan plan, DeviceId box, int bank, String path) {
        return plan.rig().model(box).board().isEmpty()
                        && !plan.controlsOf(box, bank).isEmpty()
                ? href(path, plan.controlsOf(box, bank).getFirst())
                : href(path, plan.pressedOn(box, bank).getFirst());
    }

    private static Rows rows(Report report, SwitchAt first, Optional<SwitchAt> selected, String path) {
        Board shape = report.plan().board(first);
        List<Tile> tiles = rowsFromTheBack(shape).stream()
                .map(n -> tile(report, first.numbered(n), selected, path))
                .toList();
        return new Rows(
                first.of().map(of -> Words.capital(of.plural())).orElse(""),
                first.of().isPresent() ? Math.min(shape.columns(), WIDEST) : shape.columns(),
                tiles,
                tiles.size() < MANY
                                && first.of()
                                        .filter(of -> of == ControlType.KEY)
                                        .isEmpty()
                        || tiles.stream()
                                .anyMatch(tile ->
                                        tile.isSelected() || !tile.does().isEmpty()));
    }

    /** Switches as one looks down on them: the row nearest the player, which begins with switch 1, comes last. */
    private static List<Integer> rowsFromTheBack(Board shape) {
        List<Integer> numbers = new ArrayList<>();
        for (int row = shape.row(shape.switches()); row >= 0; row--) {
            for (int n = row * shape.columns() + 1; n <= Math.min(shape.switches(), (row + 1) * shape.columns()); n++) {
                numbers.add(n);
            }
        }
        return numbers;
    }

    private static Tile tile(Report report, SwitchAt at, Optional<SwitchAt> selected, String path) {
        Plan plan = report.plan();
        Assignment assignment = plan.switches().at(at);
        int room = plan.board(at).labelCharacters();
        String shown = room == 0
                ? ""
                : assignment
                        .shortLabel()
                        .map(Object::toString)
                        .or(() -> assignment.label().map(l -> ShortForm.of(l, room)))
                        .orElse("");
        return new Tile(
                at.place(),
                at.words(),
                at.number(),
                at.key(),
                href(path, at),
                new Tread.OnSwitch(Tread.Foot.TAP, at).key(),
                assignment.label().map(Object::toString).orElse(""),
                shown,
                does(plan, assignment),
                new Purpose(
                        assignment.duty().map(Duty::words).orElse(""),
                        assignment.isFor(Duty.KILL) || assignment.isFor(Duty.SAFE)),
                report.proof(at).map(proof -> Mark.of(proof.verdict())),
                selected.filter(at::equals).isPresent());
    }

    private static ControlTile control(Report report, ControlAt at, Optional<ControlAt> selected, String path) {
        Plan plan = report.plan();
        ControlAssignment controlAssignment = plan.switches().at(at);
        return new ControlTile(
                at.words(),
                href(path, at),
                controlAssignment.label().map(Object::toString).orElse(""),
                controlAssignment.targets().stream().map(plan::words).toList(),
                controlAssignment.targets().isEmpty()
                        ? ""
                        : LevelCurve.of(controlAssignment.targets().getFirst()).path(),
                report.proof(at).map(proof -> Mark.of(proof.verdict())),
                selected.filter(at::equals).isPresent());
    }

    /**
     * "Vocal mixer: mute Voice reverb and Voice delay": steps with the same verb on the same device are said together.
     */
    private static List<String> does(Plan plan, Assignment assignment) {
        List<String> lines = new ArrayList<>();
        assignment.moments().forEach((moment, steps) -> {
            Map<String, List<String>> grouped = new LinkedHashMap<>();
            steps.forEach(step -> grouped.computeIfAbsent(
                            plan.rig().name(step.device()) + ": "
                                    + step.action().verb().words(),
                            k -> new ArrayList<>())
                    .add(plan.title(step)
                            .orElseGet(() -> plan.rig()
                                    .partName(step.device(), step.action().part()))
                            .text()));
            String when = moment == Moment.PRESS ? "" : "on " + moment.words() + " ";
            grouped.forEach((what, parts) -> lines.add(when + what + " " + Words.list(parts)));
        });
        return lines;
    }
}
