package embrack.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Evening;
import embrack.core.MappingFaults;
import embrack.core.MuteBoard;
import embrack.core.Sketch;
import embrack.core.chart.PartId;
import embrack.core.gear.ControlType;
import embrack.core.music.Position;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Item;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.When;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.switches.Target;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What an edit must not do: lose something, give a number twice, change more than was meant. */
class HarmlessEditTests {

    private static final SongId EBB = new SongId("ebb");
    private static final Plan EVENING = Evening.plan();
    private static final Plan LEVELS = MappingFaults.floor()
            .edit(new ControlEdit.AddTarget(
                    new ControlAt(new DeviceId("foot-board"), ControlType.TREADLE, 1, 1),
                    new Target(new DeviceId("vocal-mixer"), new PartId("main"))))
            .plan();

    /** Switches of two boards move together, and each keeps what it does. */
    @Test
    void movingSwitchesOfTwoBoardsLosesNone() {
        Sketch sketch = Sketch.on(MuteBoard.plan())
                .box("Other board", "four-switch-floor-board")
                .box("Third board", "ten-switch-treadle-board");
        DeviceId first = sketch.plan().boards().getFirst();
        DeviceId other = new DeviceId("other-board");
        DeviceId third = new DeviceId("third-board");
        List<SwitchAt> from = new ArrayList<>();
        for (DeviceId board : List.of(first, other)) {
            for (int number : List.of(1, 3, 4)) {
                from.add(new SwitchAt(board, 1, number));
                sketch.edit(new SwitchEdit.NameSwitch(new SwitchAt(board, 1, number), board + " " + number));
            }
        }
        List<String> tapes = tapes(sketch.plan());
        for (SwitchAt to : List.of(new SwitchAt(third, 1, 1), new SwitchAt(third, 1, 2))) {
            Plan moved = new FloorEdit.MoveSwitches(from, to).apply(sketch.plan());
            assertThat(tapes(moved)).containsExactlyInAnyOrderElementsOf(tapes);
            assertThat(moved.switches().of(third))
                    .extracting(a -> a.at().number() - to.number())
                    .containsExactly(0, 2, 3, 4, 6, 7);
        }
    }

    private static List<String> tapes(Plan plan) {
        return plan.switches().assignments().stream()
                .map(Assignment::label)
                .flatMap(Optional::stream)
                .map(Object::toString)
                .toList();
    }

    /** However far a group is moved, its cues keep their distances, and none comes before the start. */
    @ParameterizedTest(name = "{0} quarters, {1} s")
    @MethodSource
    void groupsOfCuesKeepTheirDistances(long quarters, long seconds) {
        Plan plan = EVENING;
        for (String at : List.of("3|1", "4|2", "7|3", "9|1")) {
            plan = new CueEdit.AddCue(EBB, at, List.of(Sketch.stepOf("lantern-desk recall:scene-3")), Optional.empty())
                    .apply(plan);
        }
        Song song = plan.book().song(EBB);
        List<Integer> group = song.cues().stream()
                .skip(song.cues().size() - 4L)
                .map(Cue::number)
                .toList();
        Song moved = new CueEdit.MoveCues(EBB, group, quarters * Position.TICKS_PER_QUARTER, seconds * 1_000_000)
                .apply(plan)
                .book()
                .song(EBB);
        assertThat(distances(moved, group, quarters != 0)).isEqualTo(distances(song, group, quarters != 0));
        assertThat(group)
                .allMatch(number -> moved.cue(number)
                                .orElseThrow()
                                .at()
                                .micros(moved.form())
                                .orElseThrow()
                        >= 0);
    }

    static Stream<Arguments> groupsOfCuesKeepTheirDistances() {
        return Stream.of(
                Arguments.of(-1, 0),
                Arguments.of(-9, 0),
                Arguments.of(-400, 0),
                Arguments.of(4, 0),
                Arguments.of(0, -1),
                Arguments.of(0, -600),
                Arguments.of(0, 3));
    }

    private static List<Long> distances(Song song, List<Integer> group, boolean inTicks) {
        List<Long> at = group.stream()
                .map(number -> song.cue(number).orElseThrow().at())
                .map(anchor -> inTicks
                        ? anchor.tick(song.form()).orElseThrow()
                        : anchor.micros(song.form()).orElseThrow())
                .toList();
        return at.stream().map(each -> each - at.getFirst()).toList();
    }

    /** A number that was given once means the same cue, part or thing that every song sends for ever. */
    @Test
    void numbersAreNeverGivenTwice() {
        Song song = EVENING.book().song(EBB);
        int last = song.cues().stream().mapToInt(Cue::number).max().orElseThrow();
        Plan less = new CueEdit.RemoveCues(EBB, List.of(last)).apply(EVENING);
        Plan more = new CueEdit.AddCue(
                        EBB, "5|1", List.of(Sketch.stepOf("lantern-desk recall:scene-3")), Optional.empty())
                .apply(less);
        assertThat(more.book().song(EBB).cues().getLast().number()).isEqualTo(last + 1);
        Show show = EVENING.book().find(Evening.SHOW).orElseThrow();
        Plan shorter =
                new OrderEdit.RemovePart(Evening.SHOW, show.order().getLast().number()).apply(EVENING);
        Plan longer = new OrderEdit.AddPart(Evening.SHOW, Item.TALK, "", "").apply(shorter);
        assertThat(longer.book()
                        .find(Evening.SHOW)
                        .orElseThrow()
                        .order()
                        .getLast()
                        .number())
                .isEqualTo(show.nextNumber());
        Plan always = new SongEdit.SendAlways(When.PLAY, "scene 3").apply(EVENING);
        Plan again = new SongEdit.SendAlways(When.STOP, "scene 4").apply(new SongEdit.SendNoMore(1).apply(always));
        assertThat(again.book().always())
                .extracting(Cue::number, Cue::at)
                .containsExactly(tuple(2, new Anchor.Automatic(When.STOP)));
    }

    /** What cannot be done is refused in words at a field, whatever it was made of. */
    @ParameterizedTest(name = "{0}")
    @MethodSource
    void refusedInWords(String words, Edit edit) {
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(
                        () -> edit.apply(Sketch.on(MappingFaults.floor().plan()).plan()))
                .withMessageContaining(words);
    }

    static Stream<Arguments> refusedInWords() {
        DeviceId foot = new DeviceId("foot-board");
        DeviceId mixer = new DeviceId("vocal-mixer");
        return Stream.of(
                Arguments.of("so there is no bank 99", new FloorEdit.CopyBank(foot, 99, 1)),
                Arguments.of("banks are counted from 1", new FloorEdit.CopyBank(foot, 0, 1)),
                Arguments.of("so there is no bank 99", new FloorEdit.CopyBank(foot, 1, 99)),
                Arguments.of("has no switches", new FloorEdit.CopyBank(mixer, 1, 2)),
                Arguments.of("has no switches", new FloorEdit.TakeOver(foot, mixer)),
                Arguments.of("has no switches", new FloorEdit.TakeOver(mixer, foot)),
                Arguments.of("no longer in the rig", new FloorEdit.TakeOver(foot, new DeviceId("gone"))));
    }

    @Test
    void aBlankStemIsRefused() {
        for (String name : List.of("", "  ", "<", "None of these")) {
            assertThatExceptionOfType(Refused.class)
                    .isThrownBy(() ->
                            new OrderEdit.TurnStem(Evening.SHOW, new SongId("lanterns"), name, true).apply(EVENING));
        }
    }

    /** A box that levels, every song and the order use is not removed in silence. */
    @Test
    void removingABoxSaysAllThatGoes() {
        Plan always = new SongEdit.SendAlways(When.PLAY, "scene 3").apply(EVENING);
        DeviceId desk = new DeviceId("lantern-desk");
        assertThat(GearEdit.RemoveDevice.goesWith(always, desk)).contains("1 thing that every song sends");
        assertThat(Wording.without(Language.ENGLISH).say(new GearEdit.RemoveDevice(desk, true).summary(always)))
                .startsWith("Remove Lantern desk, and with it ")
                .contains("7 cues");
        Plan floor = LEVELS;
        DeviceId moved = floor.switches()
                .controlAssignments()
                .getFirst()
                .targets()
                .getFirst()
                .device();
        assertThat(GearEdit.RemoveDevice.goesWith(floor, moved))
                .contains("level of an expression pedal, fader or knob");
        Plan levelsAlone =
                floor.withSwitches(new Switches(List.of(), floor.switches().controlAssignments()));
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> new GearEdit.RemoveDevice(moved, false).apply(levelsAlone))
                .withMessageContaining("expression pedal 1");
        Plan songsAlone = EVENING.withBook(Book.EMPTY.withAlways(always.book().always()));
        DeviceId sent = always.book().always().getFirst().steps().getFirst().device();
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> new GearEdit.RemoveDevice(sent, false).apply(songsAlone.withSwitches(Switches.NONE)))
                .withMessageContaining("what every song sends");
    }
}
