package embrack.core.plan;

import embrack.core.gear.Board;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** A rig and what its switches do. A plan is always whole: switches are on boards of the rig, steps on its devices. */
public record Plan(Rig rig, Switches switches) {

    public Plan {
        Objects.requireNonNull(rig, "rig");
        for (Assignment assignment : switches.assignments()) {
            requireOnBoard(rig, assignment.at());
            for (Step step : assignment.steps()) {
                rig.device(step.device());
            }
        }
    }

    /** A plan without gear. */
    public static Plan empty(TapeLabel name) {
        return new Plan(Rig.empty(name), Switches.NONE);
    }

    /**
     * The board of a device.
     *
     * @throws IllegalArgumentException when the device has no switches
     */
    public static Board board(Rig rig, DeviceId id) {
        return rig.model(id).board()
                .orElseThrow(() -> new IllegalArgumentException("%s has no switches".formatted(rig.name(id))));
    }

    public Board board(DeviceId id) {
        return board(rig, id);
    }

    /** Devices with switches, in the order of the rig. */
    public List<DeviceId> boards() {
        return rig.devices().stream().map(d -> d.id()).filter(id -> rig.model(id).board().isPresent()).toList();
    }

    /** A switch in words: "Voice board, bank A, switch 3". */
    public String words(SwitchAt at) {
        return words(List.of(at));
    }

    /** Several switches in words: "Voice board, bank A, switches 1, 2 and 3; Desk board, bank B, switch 1". */
    public String words(List<SwitchAt> switches) {
        Map<String, List<Integer>> byBank = new LinkedHashMap<>();
        switches.stream().distinct().sorted().forEach(at -> byBank.computeIfAbsent(
                "%s, bank %s".formatted(rig.name(at.board()), bankName(at)), b -> new ArrayList<>()).add(at.number()));
        return String.join("; ", byBank.entrySet().stream().map(e -> "%s, %s %s".formatted(e.getKey(),
                e.getValue().size() == 1 ? "switch" : "switches", Words.list(e.getValue()))).toList());
    }

    /** A bank as the board shows it: "A". */
    public TapeLabel bankName(SwitchAt at) {
        return board(at.board()).banks().get(at.bank() - 1);
    }

    /** A step in words: "Vocal mixer: mute Return 1". */
    public String words(Step step) {
        return rig.name(step.device()) + ": " + rig.words(step.device(), step.action());
    }

    public Plan withRig(Rig other) {
        return new Plan(other, switches);
    }

    public Plan withSwitches(Switches others) {
        return new Plan(rig, others);
    }

    /** The board that has a switch; refuses a switch that is on none. */
    static Board requireOnBoard(Rig rig, SwitchAt at) {
        Board board = board(rig, at.board());
        if (at.bank() > board.banks().size()) {
            throw new IllegalArgumentException("%s has %d banks, so there is no bank %d"
                    .formatted(rig.name(at.board()), board.banks().size(), at.bank()));
        }
        if (at.number() > board.switches()) {
            throw new IllegalArgumentException("%s has %d switches in a bank, so there is no switch %d"
                    .formatted(rig.name(at.board()), board.switches(), at.number()));
        }
        return board;
    }
}
