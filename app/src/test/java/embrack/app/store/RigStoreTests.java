package embrack.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.app.AppTest;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.GearEdit;
import embrack.core.plan.Plan;
import embrack.core.plan.Refused;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@AppTest
class RigStoreTests {

    @Autowired
    private RigStore rigs;

    private RigId id = new RigId(1);

    @BeforeEach
    void newRig() {
        id = rigs.create(Plan.empty(new TapeLabel("Store")), "New rig");
    }

    @Test
    void undoAndRedoWalkThroughTheHistoryWithoutEverLosingIt() {
        add("A");
        add("B");
        assertThat(state()).isEqualTo("A B, undo Add B, redo -");
        rigs.undo(id);
        assertThat(state()).isEqualTo("A, undo Add A, redo Add B");
        rigs.undo(id);
        assertThat(state()).isEqualTo(", undo -, redo Add A");
        rigs.undo(id);
        rigs.redo(id);
        rigs.redo(id);
        rigs.redo(id);
        assertThat(state()).isEqualTo("A B, undo Add B, redo -");
        rigs.undo(id);
        add("C");
        assertThat(state()).isEqualTo("A C, undo Add C, redo -");
        rigs.undo(id);
        rigs.undo(id);
        rigs.redo(id);
        assertThat(state()).isEqualTo("A, undo Add A, redo Add C");
        assertThat(rigs.load(id).revision()).isEqualTo(1 + 11);
    }

    @Test
    void refusedAndEmptyEditsLeaveNoTrace() {
        add("A");
        assertThatExceptionOfType(Refused.class).isThrownBy(() -> add("A"));
        rigs.edit(id, new GearEdit.RenameRig("Store"));
        assertThat(rigs.load(id).revision()).isEqualTo(2);
    }

    @Test
    void manyPeopleAtOnceLoseNothing() throws Exception {
        try (ExecutorService people = Executors.newFixedThreadPool(4)) {
            List<Callable<Boolean>> edits = IntStream.range(0, 24).<Callable<Boolean>>mapToObj(i -> () -> {
                add("Box " + i);
                return true;
            }).toList();
            for (Future<Boolean> done : people.invokeAll(edits)) {
                assertThat(done.get()).isTrue();
            }
        }
        assertThat(rigs.load(id).plan().rig().devices()).hasSize(24);
        assertThat(rigs.load(id).revision()).isEqualTo(25);
    }

    @Test
    void deletedRigsAreGoneUntilBroughtBack() {
        rigs.delete(id);
        assertThat(rigs.list()).noneMatch(entry -> entry.id().equals(id));
        assertThatExceptionOfType(NoSuchRig.class).isThrownBy(() -> rigs.load(id));
        assertThatExceptionOfType(NoSuchRig.class).isThrownBy(() -> add("A"));
        rigs.restore(id);
        assertThat(rigs.list()).anyMatch(entry -> entry.id().equals(id) && entry.name().equals("Store"));
    }

    private void add(String name) {
        rigs.edit(id, new GearEdit.AddDevice(name, Library.RACK_MIXER));
    }

    private String state() {
        StoredRig stored = rigs.load(id);
        return "%s, undo %s, redo %s".formatted(String.join(" ", stored.plan().rig().devices().stream().map(d -> d.name().text()).toList()),
                stored.undo().orElse("-"), stored.redo().orElse("-"));
    }
}
