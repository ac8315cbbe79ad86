package embrack.core.sheet;

import embrack.core.gear.Board;
import embrack.core.gear.ControlType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The page to tape beside a board: what every switch does, as the switches lie. Banks without a planned switch are left
 * out.
 */
public record SwitchCard(String board, String hardware, List<Bank> banks) {

    public SwitchCard {
        banks = List.copyOf(banks);
    }

    /** A bank; rows from the back to the player's feet. */
    public record Bank(String name, List<List<Cell>> rows) {

        public Bank {
            rows = List.copyOf(rows);
        }
    }

    /** A switch. {@code does} a line for each thing. */
    public record Cell(int number, String label, List<String> does, boolean isKill) {

        public Cell {
            does = List.copyOf(does);
        }
    }

    /** The cards of all boards of a plan that have a planned switch. */
    public static List<SwitchCard> of(Plan plan) {
        return plan.boards().stream()
                .map(board -> of(plan, board))
                .filter(card -> !card.banks().isEmpty())
                .toList();
    }

    private static SwitchCard of(Plan plan, DeviceId id) {
        List<Bank> banks = IntStream.rangeClosed(1, plan.banks(id))
                .filter(bank -> plan.switches().of(id).stream().anyMatch(a -> a.at().bank() == bank))
                .mapToObj(bank -> new Bank(
                        plan.bankName(plan.pressedOn(id, bank).getFirst()).text(), rows(plan, id, bank)))
                .toList();
        return new SwitchCard(
                plan.rig().name(id).text(), plan.rig().model(id).name().text(), banks);
    }

    /** Rows of those sorts that have a planned one: the switches, the pads. */
    private static List<List<Cell>> rows(Plan plan, DeviceId id, int bank) {
        List<List<Cell>> rows = new ArrayList<>();
        for (Optional<ControlType> of : plan.rig().model(id).surface().pressed()) {
            SwitchAt first = new SwitchAt(id, of, bank, 1);
            Board board = plan.board(first);
            boolean isPlanned = plan.switches().of(id).stream()
                    .anyMatch(a -> a.at().numbered(1).equals(first));
            for (int row = board.row(board.switches()); row >= 0 && isPlanned; row--) {
                int here = row;
                rows.add(IntStream.rangeClosed(1, board.switches())
                        .filter(number -> board.row(number) == here)
                        .mapToObj(number -> cell(plan, plan.switches().at(first.numbered(number))))
                        .toList());
            }
        }
        return rows;
    }

    private static Cell cell(Plan plan, Assignment assignment) {
        List<String> does = new ArrayList<>();
        assignment
                .moments()
                .forEach((moment, steps) -> steps.forEach(
                        step -> does.add((moment == Moment.PRESS ? "" : moment.words() + ": ") + plan.words(step))));
        return new Cell(
                assignment.at().number(),
                assignment.label().map(Object::toString).orElse(""),
                does,
                assignment.isFor(Duty.KILL));
    }
}
