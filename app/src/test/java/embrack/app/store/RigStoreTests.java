package embrack.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.tuple;

import embrack.app.AppTest;
import embrack.core.Evening;
import embrack.core.edit.GearEdit;
import embrack.core.edit.OrderEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.SongEdit;
import embrack.core.gear.Purpose;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.When;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
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
        rigs.undo(id, Hand.ANY);
        assertThat(state()).isEqualTo("A, undo Add A, redo Add B");
        rigs.undo(id, Hand.ANY);
        assertThat(state()).isEqualTo(", undo -, redo Add A");
        rigs.undo(id, Hand.ANY);
        rigs.redo(id, Hand.ANY);
        rigs.redo(id, Hand.ANY);
        rigs.redo(id, Hand.ANY);
        assertThat(state()).isEqualTo("A B, undo Add B, redo -");
        rigs.undo(id, Hand.ANY);
        add("C");
        assertThat(state()).isEqualTo("A C, undo Add C, redo -");
        rigs.undo(id, Hand.ANY);
        rigs.undo(id, Hand.ANY);
        rigs.redo(id, Hand.ANY);
        assertThat(state()).isEqualTo("A, undo Add A, redo Add C");
        assertThat(rigs.load(id).revision()).isEqualTo(1 + 11);
    }

    @Test
    void refusedAndEmptyEditsLeaveNoTrace() {
        add("A");
        assertThatExceptionOfType(Refused.class).isThrownBy(() -> add("A"));
        rigs.edit(id, Hand.ANY, new GearEdit.RenameRig("Store"));
        assertThat(rigs.load(id).revision()).isEqualTo(2);
    }

    @Test
    void manyPeopleAtOnceLoseNothing() throws Exception {
        assertThat(atOnce(
                        24,
                        i -> rigs.edit(id, Hand.ANY, new GearEdit.AddDevice("Box " + i, Library.RACK_MIXER))
                                .revision()))
                .doesNotHaveDuplicates();
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
        assertThat(rigs.list())
                .anyMatch(entry -> entry.id().equals(id) && entry.name().equals("Store"));
    }

    /** Undo says what it takes back; from an old picture it takes nothing back and says what came since. */
    @Test
    void undoFromAnOldPictureIsRefused() {
        add("A");
        Hand old = Hand.ANY.seeing(2);
        assertThat(rigs.undo(id, old)).contains("Add A");
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> rigs.undo(id, old))
                .withMessage("Nothing was taken back, since the page was older than the rig. Meanwhile: undo of "
                        + "\"Add A\". Now it shows the newest.");
        add("B");
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> rigs.redo(id, Hand.ANY.seeing(3)))
                .withMessageContaining("Meanwhile: \"Add B\".");
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> rigs.edit(id, Hand.ANY.seeing(3), new GearEdit.AddDevice("B", Library.RACK_MIXER)))
                .withMessageContaining("Meanwhile: \"Add B\".");
        assertThat(state()).isEqualTo("B, undo Add B, redo -");
    }

    /** Each takes back what they did themselves, however others came between, and never the others'. */
    @Test
    void undoIsOnesOwn() {
        Hand mira = new Hand("Mira", Optional.empty(), Optional.empty());
        Hand jory = new Hand("Jory", Optional.empty(), Optional.empty());
        edit(mira, "A");
        edit(jory, "B");
        edit(mira, "C");
        edit(jory, "D");
        assertThat(rigs.undo(id, mira)).contains("Add C");
        assertThat(rigs.undo(id, mira)).contains("Add A");
        assertThat(rigs.undo(id, mira)).isEmpty();
        assertThat(names()).isEqualTo("B D");
        assertThat(rigs.undo(id, jory)).contains("Add D");
        assertThat(rigs.redo(id, mira)).isEmpty();
        assertThat(rigs.undo(id, jory)).contains("Add B");
        assertThat(rigs.undo(id, jory)).isEmpty();
        assertThat(names()).isEmpty();
        edit(mira, "A");
        rigs.edit(id, jory, new GearEdit.RenameDevice(new DeviceId("a"), "Another"));
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> rigs.undo(id, mira))
                .withMessageContaining("something later stands on it");
        assertThat(names()).isEqualTo("Another");
        assertThat(rigs.history(id, rigs.newestRevision(id), 2))
                .extracting(RigStore.Past::author, RigStore.Past::summary)
                .containsExactly(tuple("Jory", "Rename A to Another"), tuple("Mira", "Add A"));
    }

    /** What was done before anybody had an account belongs to all who plan: the first account shuts nobody out. */
    @Test
    void whatWasDoneBeforeAnybodyHadAnAccountIsEverybodys() {
        Hand mira = new Hand("Mira", Optional.empty(), Optional.empty());
        Hand jory = new Hand("Jory", Optional.empty(), Optional.empty());
        edit(Hand.ANY, "A");
        edit(Hand.ANY, "B");
        edit(jory, "C");
        assertThat(rigs.undo(id, mira)).contains("Add B");
        assertThat(names()).isEqualTo("A C");
        assertThat(rigs.undo(id, jory)).contains("Add C");
        assertThat(rigs.undo(id, jory)).contains("Add A");
        assertThat(names()).isEmpty();
    }

    /** Who writes where another wrote meanwhile is told, once; what is beside it is in nobody's way. */
    @Test
    void nobodyWritesOverWhatTheyHaveNotSeen() {
        Hand mira = new Hand("Mira", Optional.empty(), Optional.empty());
        edit(mira, "A");
        int seen = rigs.newestRevision(id);
        DeviceId a = new DeviceId("a");
        Hand jory = new Hand("Jory", Optional.of(seen), Optional.empty());
        rigs.edit(id, mira, new GearEdit.RenameDevice(a, "Voice desk"));
        rigs.edit(id, mira, new GearEdit.RenameDevice(a, "Voices"));
        rigs.edit(id, mira.seeing(seen), new GearEdit.RenameDevice(a, "Voice mixer"));
        rigs.edit(id, jory, new GearEdit.ChangeSetting(a, Purpose.RECEIVE_CHANNEL.id(), "9"));
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> rigs.edit(id, jory, new GearEdit.RenameDevice(a, "Desk")))
                .withMessageContaining("\"Rename Voices to Voice mixer\" by Mira");
        assertThat(names()).isEqualTo("Voice mixer");
        rigs.edit(id, jory.seeing(rigs.newestRevision(id)), new GearEdit.RenameDevice(a, "Desk"));
        assertThat(names()).isEqualTo("Desk");
    }

    private void edit(Hand hand, String name) {
        rigs.edit(id, hand, new GearEdit.AddDevice(name, Library.RACK_MIXER));
    }

    private String names() {
        return rigs.load(id).plan().rig().devices().stream()
                .map(device -> device.name().text())
                .collect(Collectors.joining(" "));
    }

    /** Two that undo at once, from one picture, take back one edit. */
    @Test
    void twoThatUndoAtOnceTakeBackOne() throws Exception {
        add("A");
        add("B");
        List<Boolean> done = atOnce(4, i -> {
            try {
                return rigs.undo(id, Hand.ANY.seeing(3)).isPresent();
            } catch (Refused e) {
                return false;
            }
        });
        assertThat(done).containsOnlyOnce(true);
        assertThat(state()).startsWith("A, ");
    }

    /** What was sent twice, as after an answer that never came, is made once and answered as the first time. */
    @Test
    void whatIsSentTwiceIsMadeOnce() throws Exception {
        var once = new Hand(Hand.SOMEBODY, Optional.empty(), Optional.of("sent-1"));
        List<Integer> revisions = atOnce(
                4, i -> rigs.edit(id, once, new OrderEdit.AddShow("Night")).revision());
        assertThat(revisions).containsOnly(2);
        add("Later");
        Edited again = rigs.edit(id, once, new OrderEdit.AddShow("Night"));
        assertThat(again.revision()).isEqualTo(2);
        assertThat(again.plan().rig().devices()).isEmpty();
        assertThat(rigs.load(id).plan().book().shows()).hasSize(1);
        var undo = new Hand(Hand.SOMEBODY, Optional.empty(), Optional.of("sent-2"));
        rigs.undo(id, undo);
        rigs.undo(id, undo);
        assertThat(rigs.load(id).revision()).isEqualTo(4);
    }

    /** Six add to what every song sends from one picture; all six are there. */
    @Test
    void additionsAtOnceAllSurvive() throws Exception {
        RigId rig = rigs.create(Evening.plan(), "Evening");
        atOnce(
                6,
                i -> rigs.edit(rig, Hand.ANY.seeing(1), new SongEdit.SendAlways(When.PLAY, "scene " + (i + 1)))
                        .revision());
        assertThat(rigs.load(rig).plan().book().always())
                .extracting(cue -> cue.number())
                .containsExactly(1, 2, 3, 4, 5, 6);
        assertThat(rigs.load(rig).plan().book().always())
                .extracting(cue -> cue.steps())
                .doesNotHaveDuplicates();
    }

    /** Nothing is stored that would not be read back as it is. */
    @Test
    void whatDoesNotReadBackIsNotStored() {
        Song odd = Song.blank(new SongId("odd"), new TapeLabel("Odd"), 1)
                .withForm(new Form(Form.UNKNOWN.tempoMap(), List.of(new Section(new TapeLabel("tempo 90"), 4))));
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> rigs.edit(id, Hand.ANY, new SongEdit.ImportSong(odd)))
                .withMessageStartingWith("This cannot be kept, since it could not be read again");
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(
                        () -> rigs.create(new SongEdit.ImportSong(odd).apply(Plan.empty(new TapeLabel("Odd"))), "New"));
        assertThat(rigs.load(id).revision()).isEqualTo(1);
    }

    private static <T> List<T> atOnce(int people, IntFunction<T> deed) throws Exception {
        try (ExecutorService all = Executors.newFixedThreadPool(people)) {
            List<T> done = new ArrayList<>();
            for (Future<T> each : all.invokeAll(IntStream.range(0, people)
                    .<Callable<T>>mapToObj(i -> () -> deed.apply(i))
                    .toList())) {
                done.add(each.get());
            }
            return done;
        }
    }

    private void add(String name) {
        rigs.edit(id, Hand.ANY, new GearEdit.AddDevice(name, Library.RACK_MIXER));
    }

    private String state() {
        StoredRig stored = rigs.load(id);
        return "%s, undo %s, redo %s"
                .formatted(
                        String.join(
                                " ",
                                stored.plan().rig().devices().stream()
                                        .map(d -> d.name().text())
                                        .toList()),
                        stored.undo().orElse("-"),
                        stored.redo().orElse("-"));
    }
}
