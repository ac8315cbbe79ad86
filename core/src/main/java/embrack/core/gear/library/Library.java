package embrack.core.gear.library;

import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The models that ship. All are generic and their charts invented. */
public final class Library {

    /** Four switches in a row, one send channel for the whole box, eight messages a press. */
    public static final Model FOUR_SWITCH_FLOOR_BOARD = FloorBoards.FOUR_SWITCH_FLOOR_BOARD;

    /** Four switches on a desk, two messages a press, each with its own channel. */
    public static final Model FOUR_SWITCH_DESK_BOARD = FloorBoards.FOUR_SWITCH_DESK_BOARD;

    /** Four switches that can only change programs. */
    public static final Model FOUR_SWITCH_PROGRAM_BOARD = FloorBoards.FOUR_SWITCH_PROGRAM_BOARD;

    /** 16 inputs, 4 returns, 3 buses and the main, muted by control changes from 40 left to right. */
    public static final Model RACK_MIXER = Receivers.RACK_MIXER;

    private static final List<Model> ALL = Stream.of(
                    FloorBoards.ALL, Surfaces.ALL, Players.ALL, Receivers.ALL, Lights.ALL, Links.ALL, Sounds.ALL)
            .flatMap(List::stream)
            .toList();

    private Library() {}

    /** All shipped models, boards first. */
    public static List<Model> all() {
        return ALL;
    }

    public static Optional<Model> find(ModelId id) {
        return ALL.stream().filter(model -> model.id().equals(id)).findFirst();
    }
}
