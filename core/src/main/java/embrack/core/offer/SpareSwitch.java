package embrack.core.offer;

import embrack.core.gear.Board;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Finds switches that nothing is planned for. */
public final class SpareSwitch {

    private SpareSwitch() {}

    /** The blank switches, pads, keys and buttons of a bank, in order. */
    public static List<SwitchAt> in(Plan plan, DeviceId board, int bank) {
        return plan.pressedOn(board, bank).stream()
                .filter(at -> plan.switches().at(at).isBlank())
                .toList();
    }

    /** The first blank switch of the same bank, or else of the banks behind it; of a pad the first blank pad. */
    public static Optional<SwitchAt> near(Plan plan, SwitchAt at) {
        int banks = plan.board(at).banks().size();
        return IntStream.rangeClosed(at.bank(), banks)
                .boxed()
                .flatMap(bank -> in(plan, at.board(), bank).stream())
                .filter(other -> other.of().equals(at.of()))
                .findFirst();
    }

    /** The blank switch of a bank that lies farthest from another of that bank. */
    public static Optional<SwitchAt> farFrom(Plan plan, SwitchAt other) {
        Board shape = plan.board(other);
        return in(plan, other.board(), other.bank()).stream()
                .filter(at -> at.of().equals(other.of()))
                .max(Comparator.comparingInt(at -> distance(shape, at, other)));
    }

    /** How many switches a foot goes over from one to another, the longer of along and across. */
    public static int distance(Board shape, SwitchAt one, SwitchAt other) {
        return Math.max(
                Math.abs(shape.column(one.number()) - shape.column(other.number())),
                Math.abs(shape.row(one.number()) - shape.row(other.number())));
    }
}
