package embrack.core.show;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.edit.OrderEdit;
import embrack.core.music.Clock;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class BookTests {

    private static final Plan PLAN = Evening.plan();
    private static final Song EBB = PLAN.book().song(new SongId("ebb"));

    private static Arguments refused(String words, Supplier<Object> made) {
        return Arguments.of(words, made);
    }

    private static Stream<Arguments> whatCannotBe() {
        Cue cue = EBB.cues().getFirst();
        return Stream.of(
                refused("cue 1 of \"Ebb\" is there twice", () -> EBB.withCues(List.of(cue, cue))),
                refused(
                        "The trims cut away the whole song.",
                        () -> EBB.withTrims(new Song.Trims(24_000_000, 24_000_000))),
                refused("A trim is 0 or more.", () -> new Song.Trims(-1, 0)),
                refused(
                        "A song has at least one section.",
                        () -> new Form(EBB.form().tempoMap(), List.of())),
                refused(
                        "Two sections are called \"A\"; number them.",
                        () -> new Form(
                                EBB.form().tempoMap(),
                                List.of(new Section(new TapeLabel("A"), 1), new Section(new TapeLabel("a"), 1)))),
                refused(
                        "A vamp is played 1 to 64 times, anything else once.",
                        () -> new Section(new TapeLabel("A"), 4, "", 2, false, Optional.empty(), List.of())),
                refused(
                        "A cue is sent by the player or pressed by a foot, not both.",
                        () -> new Cue(
                                1,
                                Optional.empty(),
                                cue.at(),
                                cue.steps(),
                                List.of(),
                                Optional.of(Sketch.at("foot-board 1")),
                                false,
                                false)),
                refused("the song \"ebb\" is there twice", () -> new Book(List.of(EBB, EBB), List.of(), List.of())),
                refused("there is no song \"gone\"", () -> PLAN.book().song(new SongId("gone"))),
                refused(
                        "What every song sends comes on load, play, stop, continue or loop.",
                        () -> new Book(List.of(), List.of(EBB.cues().get(1)), List.of())),
                refused(
                        "Only songs and response songs have a song.",
                        () -> new Entry(
                                1,
                                Item.TALK,
                                new TapeLabel("x"),
                                Optional.of(EBB.id()),
                                Optional.empty(),
                                0,
                                Transition.HARD,
                                Optional.empty(),
                                Calls.NONE)),
                refused(
                        "Choose the switch that ends it.",
                        () -> new Calls(Optional.empty(), Optional.empty(), Calls.Ending.FOOT, Optional.empty())),
                refused(
                        "What arms and what goes are two switches.",
                        () -> new Calls(
                                Optional.of(Sketch.at("foot-board 1")),
                                Optional.of(Sketch.at("foot-board 1")),
                                Calls.Ending.ITSELF,
                                Optional.empty())),
                refused("Choose the song.", () -> Entry.of(1, Item.SONG, new TapeLabel("x"), 0)),
                refused("A transition takes 0:00 to 10:00.", () -> new Transition(Transition.Way.FADE, 600_000_001)),
                refused("A pad lasts 0:01 to 2:00:00.", () -> new Pad(Optional.empty(), 0)),
                refused("A time of day is 0:00 to 23:59.", () -> TimeOfDay.parse("24:00")),
                refused("Write a time of day such as 19:30.", () -> TimeOfDay.parse("7 pm")),
                refused("There is no day 2027-02-29.", () -> Day.parse("2027-02-29")),
                refused("Write a day as year-month-day", () -> Day.parse("5 December")),
                refused(
                        "A lead-in is 0 to 16 bars, was 17.",
                        () -> new Song(
                                EBB.id(),
                                EBB.title(),
                                1,
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                Song.Trims.NONE,
                                17,
                                EBB.form(),
                                List.of(),
                                "",
                                Optional.empty(),
                                List.of(),
                                0)),
                refused(
                        "the show \"first-evening\" is there twice",
                        () -> new Book(
                                PLAN.book().songs(),
                                List.of(),
                                List.of(
                                        PLAN.book().shows().getFirst(),
                                        PLAN.book().shows().getFirst()))),
                refused(
                        "Foot board has 10 switches in a bank, so there is no switch 11",
                        () -> PLAN.withBook(PLAN.book()
                                .with(EBB.withCue(Cue.pressed(
                                        9,
                                        cue.at(),
                                        new SwitchAt(Sketch.at("foot-board 1").board(), 1, 11)))))));
    }

    @ParameterizedTest
    @MethodSource("whatCannotBe")
    void whatCannotBeIsRefusedInWords(String words, Supplier<Object> made) {
        assertThatIllegalArgumentException().isThrownBy(made::get).withMessageContaining(words);
    }

    /** How times are typed and shown. */
    @ParameterizedTest
    @CsvSource({
        "1:23.456, 83456000, 1:23.456",
        "83.5, 83500000, 1:23.500",
        "1:02:03, 3723000000, 62:03.000",
        "0, 0, 0:00.000",
        "5s, 5000000, 0:05.000",
        "0:00.0005, 500, 0:00.001"
    })
    void timesAreReadAndShown(String typed, long micros, String shown) {
        assertThat(Clock.parse(typed)).isEqualTo(micros);
        assertThat(Clock.text(micros)).isEqualTo(shown);
        assertThat(Clock.parse(Clock.exact(micros))).isEqualTo(micros);
    }

    @ParameterizedTest
    @CsvSource({"0, 0:00", "59499999, 0:59", "276000000, 4:36", "3600000000, 1:00:00", "-30000000, -0:30"})
    void lengthsAreShownToTheSecond(long micros, String shown) {
        assertThat(Clock.brief(micros)).isEqualTo(shown);
    }

    @Test
    void sectionsAreAlikeByTheirNames() {
        Section refrain = new Section(new TapeLabel("Refrain"), 8);
        assertThat(Stream.of("Refrain 2", "refrain", "Last refrain", "Verse", "Refrains", "Refrain out")
                        .filter(name -> refrain.isLike(new Section(new TapeLabel(name), 4))))
                .containsExactly("Refrain 2", "refrain", "Last refrain");
    }

    @Test
    void anAnchorIsReadBackAsItIsWritten() {
        for (String text : List.of(
                "bar 17",
                "bar 9 beat 3\u00bd",
                "0:20.500",
                "start of Verse",
                "end of Refrain",
                "on load",
                "on play",
                "on stop",
                "on loop")) {
            assertThat(Anchor.parse(text, EBB.form()).text(EBB.form().tempoMap()))
                    .isEqualTo(text);
        }
        assertThat(Anchor.parse("START OF verse", EBB.form()))
                .isEqualTo(new Anchor.AtSection(new TapeLabel("Verse"), false));
        assertThat(Anchor.parse("12.5s", EBB.form())).isEqualTo(new Anchor.OnClock(12_500_000));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Anchor.parse("", EBB.form()))
                .withMessageContaining("Write when");
    }

    /** What comes before the end of the countdown lies before the start; a night goes round at midnight. */
    @Test
    void theCountdownEndsAtTheStart() {
        Plan plan = new OrderEdit.MovePart(Evening.SHOW, 6, 1)
                .apply(new OrderEdit.AddPart(Evening.SHOW, Item.PRE_SHOW, "Harbour music", "20:00").apply(PLAN));
        Running running = Running.of(plan.book(), plan.book().shows().getFirst());
        assertThat(running.parts().stream().limit(3).map(part -> Clock.brief(part.startMicros())))
                .containsExactly("-25:00", "-5:00", "0:00");
        assertThat(new TimeOfDay(5).after(-600_000_000)).isEqualTo("23:55:00");
        assertThat(running.roomMicros()).isEqualTo(Optional.of(720_000_000 - running.endMicros()));
    }

    /** Pads take the key of the next song, whatever key that is in tonight. */
    @Test
    void aPadFollowsTheKeyOfTonight() {
        Plan padded = new OrderEdit.DescribePart(
                        Evening.SHOW,
                        3,
                        Item.TALK,
                        "Tale",
                        "2:00",
                        "",
                        Transition.Way.HARD,
                        "",
                        "",
                        "20:00",
                        Optional.empty())
                .apply(PLAN);
        Plan tonight = new OrderEdit.DescribePart(
                        Evening.SHOW, 4, Item.SONG, "", "", "A", Transition.Way.HARD, "", "", "", Optional.empty())
                .apply(padded);
        assertThat(Stream.of(padded, tonight)
                        .map(plan -> Running.of(plan.book(), plan.book().shows().getFirst())
                                .parts()
                                .get(2)
                                .pad()
                                .orElseThrow()
                                .toString()))
                .containsExactly("G", "A");
    }

    @Test
    void aSwitchIsReadBackFromItsKey() {
        SwitchAt at = new SwitchAt(Sketch.at("foot-board 1").board(), 2, 10);
        assertThat(SwitchAt.parse(at.key())).contains(at);
        assertThat(Stream.of(
                                "",
                                "foot-board",
                                "foot-board.1",
                                "foot-board.0.1",
                                "foot-board.1.x",
                                "Foot board.1.1",
                                "foot-board.1.1000",
                                "a.b.c")
                        .map(SwitchAt::parse))
                .allMatch(Optional::isEmpty);
    }

    @Test
    void aStemIsTurnedAndTurnedBack() {
        StemAt drums = new StemAt(new SongId("lanterns"), new TapeLabel("Drums"));
        Plan turned = new OrderEdit.TurnStem(Evening.SHOW, drums.song(), "Drums", true).apply(PLAN);
        assertThat(turned.book().shows().getFirst().turned()).isEqualTo(new TreeSet<>(List.of(drums)));
        assertThat(new OrderEdit.TurnStem(Evening.SHOW, drums.song(), "Drums", false).apply(turned))
                .isEqualTo(PLAN);
        Stem stem = PLAN.book().song(new SongId("lanterns")).stems().getFirst();
        assertThat(List.of(
                        PLAN.book().shows().getFirst().sounds(drums.song(), stem),
                        turned.book().shows().getFirst().sounds(drums.song(), stem)))
                .containsExactly(true, false);
    }
}
