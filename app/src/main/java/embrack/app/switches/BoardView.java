package embrack.app.switches;

import embrack.app.frame.Mark;
import embrack.core.check.Report;
import embrack.core.gear.Board;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** A board seen from above, one bank of it. */
record BoardView(String name, String facts, List<Tab> boards, List<Tab> banks, int columns, List<Tile> tiles) {

    /** With more banks than this, their tabs bear the names alone. */
    private static final int MANY_BANKS = 8;

    /** A board or a bank to go to. */
    record Tab(String words, String href, boolean isHere) {
    }

    /**
     * A switch.
     *
     * @param press what a press of it is in a link
     * @param does what it does, shortened, a line a device
     */
    record Tile(int number, String href, String press, String label, List<String> does, Optional<Mark> mark, boolean isSelected) {
    }

    static BoardView of(Report report, SwitchAt selected, String path) {
        Plan plan = report.plan();
        DeviceId board = selected.board();
        Board shape = plan.board(board);
        return new BoardView(plan.rig().name(board).text(), "%s, seen from above".formatted(plan.rig().model(board).name()),
                plan.boards().stream().map(b -> new Tab(plan.rig().name(b).text(), href(path, new SwitchAt(b, 1, 1)), b.equals(board))).toList(),
                IntStream.rangeClosed(1, shape.banks().size()).mapToObj(bank -> new Tab((shape.banks().size() > MANY_BANKS ? "" : "Bank ") + shape.banks().get(bank - 1),
                        href(path, new SwitchAt(board, bank, 1)), bank == selected.bank())).toList(),
                shape.columns(),
                rowsFromTheBack(shape).stream().map(n -> tile(report, new SwitchAt(board, selected.bank(), n), selected, path)).toList());
    }

    static String href(String path, SwitchAt at) {
        return "%s/switches/%s/%d/%d".formatted(path, at.board(), at.bank(), at.number());
    }

    /** Switches as one looks down on them: the row nearest the player, which begins with switch 1, comes last. */
    private static List<Integer> rowsFromTheBack(Board shape) {
        List<Integer> numbers = new ArrayList<>();
        int rows = (shape.switches() + shape.columns() - 1) / shape.columns();
        for (int row = rows - 1; row >= 0; row--) {
            for (int n = row * shape.columns() + 1; n <= Math.min(shape.switches(), (row + 1) * shape.columns()); n++) {
                numbers.add(n);
            }
        }
        return numbers;
    }

    private static Tile tile(Report report, SwitchAt at, SwitchAt selected, String path) {
        Plan plan = report.plan();
        Assignment assignment = plan.switches().at(at);
        return new Tile(at.number(), href(path, at), Played.text(plan, at), assignment.label().map(Object::toString).orElse(""),
                does(plan, assignment), report.proof(at).map(proof -> Mark.of(proof.verdict())), at.equals(selected));
    }

    /** "Vocal mixer: mute Voice reverb and Voice delay": steps with the same verb on the same device are said together. */
    private static List<String> does(Plan plan, Assignment assignment) {
        Map<String, List<String>> grouped = new LinkedHashMap<>();
        assignment.steps().forEach(step -> grouped
                .computeIfAbsent(plan.rig().name(step.device()) + ": " + step.action().verb().words(), k -> new ArrayList<>())
                .add(plan.rig().partName(step.device(), step.action().part()).text()));
        return grouped.entrySet().stream().map(e -> e.getKey() + " " + Words.list(e.getValue())).toList();
    }
}
