package embrack.core.past;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.core.Evening;
import embrack.core.MuteBoard;
import embrack.core.RandomBooks;
import embrack.core.RandomRigs;
import embrack.core.RigEdits;
import embrack.core.edit.CueEdit;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.PastEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.SwitchEdit;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Plans taken apart and put together, one thing brought back, an edit taken back that others have followed. */
class PastTests {

    private static final DeviceId BOARD = new DeviceId("voice-board");

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void aPlanIsNoMoreThanItsThings(int seed) {
        for (Plan plan : List.of(RandomBooks.of(seed, 8), RandomRigs.withGestures(seed, 9), Evening.plan())) {
            assertThat(Things.of(plan).plan()).isEqualTo(plan);
            assertThat(Difference.between(plan, plan)).isEmpty();
        }
    }

    /** Whatever is edited: with all that is another brought back the plan is what it was, and it is told in words. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void allThatIsAnotherBroughtBackIsWhatItWas(int seed) {
        var random = new Random(seed);
        Plan plan = RandomRigs.withGestures(seed, 7);
        for (int i = 0; i < 10; i++) {
            Plan next = RigEdits.one(plan, random);
            Things now = Things.of(next);
            Things then = Things.of(plan);
            assertThat(now.with(then.changed(now), then).plan()).isEqualTo(plan);
            if (!next.equals(plan)) {
                assertThat(Difference.between(plan, next)).isNotEmpty().allSatisfy(difference -> {
                    assertThat(difference.name()).isNotBlank();
                    assertThat(difference.isNew() && difference.isGone()).isFalse();
                });
            }
            plan = next;
        }
    }

    @Test
    void whatOneDidIsTakenBackAndWhatOthersDidStays() {
        Plan start = MuteBoard.plan();
        Edit mine = new SwitchEdit.NameSwitch(new SwitchAt(BOARD, 1, 1), "Mine");
        Edit theirs = new SwitchEdit.NameSwitch(new SwitchAt(BOARD, 1, 2), "Theirs");
        Plan after = mine.apply(start);
        Plan now = theirs.apply(after);
        assertThat(new PastEdit.TakeBack(start, after, "mine").apply(now)).isEqualTo(theirs.apply(start));
        Plan onTop = new SwitchEdit.NameSwitch(new SwitchAt(BOARD, 1, 1), "On top").apply(now);
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> new PastEdit.TakeBack(start, after, "mine").apply(onTop))
                .withMessageContaining("something later stands on it");
    }

    @Test
    void aBoxThatWentComesBackWithWhatHungOnIt() {
        Plan start = MuteBoard.plan();
        Plan without = new GearEdit.RemoveDevice(new DeviceId("vocal-mixer"), true).apply(start);
        Plan now = new SwitchEdit.NameSwitch(new SwitchAt(BOARD, 4, 4), "Later").apply(without);
        Plan back = new PastEdit.TakeBack(start, without, "Remove Vocal mixer").apply(now);
        assertThat(back.rig()).isEqualTo(start.rig());
        assertThat(back.switches().assignments())
                .containsAll(start.switches().assignments())
                .hasSize(start.switches().assignments().size() + 1);
    }

    @Test
    void oneThingThatNeedsAnotherSaysSo() {
        Plan start = MuteBoard.plan();
        Plan without = new GearEdit.RemoveDevice(new DeviceId("vocal-mixer"), true).apply(start);
        Thing lead = Difference.between(start, without).stream()
                .map(Difference::thing)
                .filter(Thing.Lead.class::isInstance)
                .findFirst()
                .orElseThrow();
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> new PastEdit.BringBack(lead, "the lead", start).apply(without))
                .withMessageContaining("there is no device");
    }

    @Test
    void aSongComesBackWithItsCuesAndACueAloneWithoutTheOthers() {
        Plan start = Evening.plan();
        Plan without = start.withBook(
                start.book().without(start.book().songs().getFirst().id()));
        Difference gone = Difference.between(start, without).stream()
                .filter(difference -> difference.thing() instanceof Thing.OneSong)
                .findFirst()
                .orElseThrow();
        assertThat(gone.isGone()).isTrue();
        Plan back = new PastEdit.BringBack(gone.thing(), gone.name(), start).apply(without);
        assertThat(back.book().songs()).isEqualTo(start.book().songs());
    }

    /** By whom what is said of a switch or a cue: only what both say otherwise stands in the way. */
    @Test
    void onlyTheSameFieldIsACollision() {
        Plan start = Evening.plan();
        Song song = start.book().songs().stream()
                .filter(one -> !one.cues().isEmpty())
                .findFirst()
                .orElseThrow();
        int cue = song.cues().getFirst().number();
        SwitchAt at = start.switches().assignments().getFirst().at();
        List<Step> steps = song.cues().getFirst().steps();
        Edit name = new SwitchEdit.NameSwitch(at, "One");
        Edit cueName = new CueEdit.NameCue(song.id(), cue, "Here");
        Edit add = new CueEdit.AddCue(song.id(), "5", steps, Optional.empty());
        Edit addOther = new CueEdit.AddCue(song.id(), "6", steps, Optional.empty());
        assertThat(collision(start, name, new SwitchEdit.NameSwitch(at, "Other")))
                .containsExactly(new Thing.Pressed(at));
        assertThat(collision(start, name, name)).isEmpty();
        assertThat(collision(start, name, new SwitchEdit.DoInstead(at, Moment.PRESS, steps)))
                .isEmpty();
        assertThat(collision(start, name, new SwitchEdit.ClearSwitch(at))).containsExactly(new Thing.Pressed(at));
        assertThat(collision(start, name, cueName)).isEmpty();
        assertThat(collision(start, cueName, new CueEdit.NameCue(song.id(), cue, "There")))
                .containsExactly(new Thing.OneCue(song.id(), cue));
        assertThat(collision(start, cueName, new CueEdit.LeaveOff(song.id(), cue, true)))
                .isEmpty();
        assertThat(collision(start, new CueEdit.RemoveCues(song.id(), List.of(cue)), cueName))
                .containsExactly(new Thing.OneCue(song.id(), cue));
        Plan twoMore = add.apply(addOther.apply(start));
        assertThat(Collision.between(start, add.apply(start), twoMore)).isEmpty();
    }

    /** Who has not the rig reads how a song goes, when each of its cues is and what that does. */
    @Test
    void aSongIsReadByThoseWhoHaveNotItsRig() {
        Plan plan = Evening.plan();
        SongInWords ebb = SongInWords.of(plan, new SongId("ebb")).orElseThrow();
        assertThat(ebb.title()).isEqualTo("Ebb");
        assertThat(ebb.lines()).contains("tempo 120", "Verse: 16 bars", "Refrain: 8 bars");
        for (Song song : plan.book().songs()) {
            SongInWords words = SongInWords.of(plan, song.id()).orElseThrow();
            assertThat(words.cues()).hasSameSizeAs(song.cues()).allSatisfy(cue -> {
                assertThat(cue.getFirst()).startsWith(song.title().text());
                assertThat(cue).hasSizeGreaterThan(1).noneMatch(String::isBlank);
            });
        }
        assertThat(ebb.cues().getFirst()).first().asString().contains("on load");
        assertThat(SongInWords.of(plan, new SongId("no-such-song"))).isEmpty();
    }

    private static List<Thing> collision(Plan start, Edit mine, Edit theirs) {
        List<Thing> one = Collision.between(start, mine.apply(start), theirs.apply(start));
        assertThat(Collision.between(start, theirs.apply(start), mine.apply(start)))
                .isEqualTo(one);
        return one;
    }
}
