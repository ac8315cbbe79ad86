package embrack.core.show;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.edit.CueEdit;
import embrack.core.edit.Edit;
import embrack.core.edit.OrderEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.SongEdit;
import embrack.core.music.Clock;
import embrack.core.music.Position;
import embrack.core.music.RandomTempoMaps;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.show.Capture.Deed;
import embrack.core.show.Capture.Hit;
import embrack.core.show.text.SongReading;
import embrack.core.show.text.SongText;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SongTests {

    private static final SongId EBB = new SongId("ebb");
    private static final Step SCENE = Sketch.stepOf("lantern-desk recall:scene-2");

    @Test
    void aSongIsReadAsItIsWritten() {
        SongReading reading = SongReading.of(Evening.LANTERNS);
        assertThat(reading.problems()).isEmpty();
        Form form = reading.form().orElseThrow();
        assertThat(form.sections())
                .extracting(s -> s.name().text())
                .containsExactly("Count-in", "Verse 1", "Refrain 1", "Bridge", "Refrain 2", "Vamp", "Last refrain");
        assertThat(Clock.text(form.startMicros(3))).isEqualTo("1:07.826");
        assertThat(Clock.text(form.endMicros(3))).isEqualTo("1:13.826");
        assertThat(Clock.text(form.vampingMicros())).isEqualTo("0:20.870");
        assertThat(SongText.of(form, reading.stems()))
                .isEqualTo(Evening.LANTERNS
                        .replace("tempo 92 to 76 over 8 bars", "tempo 92 gliding")
                        .replace("metre 4/4\nCount-in", "Count-in")
                        .replace("tempo 92\nCount-in", "metre 4/4\ntempo 92\nCount-in")
                        .replace("Last refrain: 8 bars\n", "Last refrain: 8 bars\n  at 9: tempo 76\n"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "Verse 16;line 1, column 1: Write a section as its name, a colon and its bars",
                "tempo fast;line 1, column 7: Write a tempo in quarters",
                "A: 4 bars\\nA: 4 bars;line 2, column 1: Another section is called that",
                "A: 0 bars;line 1, column 1: A section has 1 to 500 bars",
                "A: 4 bars, loud;line 1, column 12: Behind the name come its bars",
                "metre 4/5;line 1, column 7: A metre is 1 to 32 beats",
                "A: 4 bars\\n at 9: tempo 90\\nB: 2 bars;line 2, column 5: A has bars 1 to 4.",
                "stem X: drums;line 1, column 9: A stem is one of",
                "stem X: tones, at loud;line 1, column 19: Write how loud it is in decibels: at -3 dB.",
                "stem X: tones, at -3;line 1, column 19: Write how loud it is in decibels: at -3 dB.",
                "stem X: tones, at 20 dB;line 1, column 14: A stem is −60 to 12 dB, was 20.0 dB.",
                "tempo 90;line 1, column 1: Write at least one section",
                "tempo 900\\nA: 4 bars;line 1, column 7: A tempo is 10 to 400"
            })
    void whatCannotBeReadIsToldAtItsPlace(String text, String problem) {
        SongReading reading = SongReading.of(text.replace("\\n", "\n"));
        assertThat(reading.form()).isEmpty();
        assertThat(reading.problems().getFirst().toString()).startsWith(problem);
    }

    /** Any form, with changes anywhere, is read back the same from its text. */
    @Property(tries = 200)
    void everyFormIsReadBackTheSame(@ForAll @IntRange(max = 1_000_000) int seed) {
        var random = new Random(seed);
        List<Section> sections = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(6); i++) {
            boolean vamp = random.nextInt(4) == 0;
            sections.add(new Section(
                    new TapeLabel("Part " + i),
                    1 + random.nextInt(12),
                    random.nextBoolean() ? "go on, slowly" : "",
                    vamp ? 1 + random.nextInt(4) : 1,
                    vamp,
                    random.nextInt(3) == 0 ? Optional.of(new TapeLabel("Sound " + i)) : Optional.empty(),
                    random.nextBoolean() ? List.of("one: two", "three") : List.of()));
        }
        Form form = new Form(RandomTempoMaps.of(random), sections);
        double level = random.nextBoolean() ? 0 : (random.nextInt(721) - 600) / 10.0;
        List<Stem> stems = List.of(
                new Stem(new TapeLabel("Low"), StemSort.PAD, Optional.of(new TapeLabel("Bass")), level),
                new Stem(new TapeLabel("Band"), StemSort.REFERENCE, Optional.empty(), Math.rint(-level) / 5));
        SongReading read = SongReading.of(SongText.of(form, stems));
        assertThat(read.problems()).isEmpty();
        assertThat(read.stems()).isEqualTo(stems);
        int bars = form.bars();
        assertThat(read.form().orElseThrow().sections()).isEqualTo(form.sections());
        for (int bar = 1; bar <= bars; bar++) {
            assertThat(read.form().get().tempoMap().micros(Position.bar(bar)))
                    .isEqualTo(form.tempoMap().micros(Position.bar(bar)));
        }
    }

    @Test
    void cuesOnBarsGoWithTheTempoAndCuesOnTheClockStay() {
        Plan fast = new SongEdit.NewTempo(EBB, "140", false).apply(Evening.plan());
        Song song = fast.book().song(EBB);
        assertThat(song.cues().stream()
                        .flatMap(cue -> cue.at().micros(song.form()).stream())
                        .map(Clock::text))
                .containsExactly("0:27.429", "0:40.500");
        assertThat(song.cues())
                .extracting(cue -> cue.at().tie())
                .containsExactly("comes on load", "stays on its bar", "stays on the clock", "comes on stop");
        Song all = new SongEdit.NewTempo(EBB, "140", true)
                .apply(Evening.plan())
                .book()
                .song(EBB);
        assertThat(all.cue(3).orElseThrow().at().text(all.form().tempoMap())).isEqualTo("0:34.714");
        assertThat(Math.round(all.stretchPercent() * 10)).isEqualTo(167);
    }

    /** A section that goes takes its cues along to their bars; an edit of one face of a time moves the other. */
    @Test
    void cuesOutliveTheirSections() {
        Plan plan = new SongEdit.TellForm(new SongId("lanterns"), "tempo 92\nAll: 60 bars\n").apply(Evening.plan());
        Song song = plan.book().song(new SongId("lanterns"));
        assertThat(song.cues().stream().map(cue -> cue.at().text(song.form().tempoMap())))
                .containsExactly("on load", "bar 19", "bar 27", "bar 43");
        Plan placed = new CueEdit.PlaceCue(EBB, 2, "0:33.5").apply(Evening.plan());
        assertThat(placed.book().song(EBB).cue(2).orElseThrow().at()).isEqualTo(new Anchor.OnClock(33_500_000));
    }

    @Test
    void cuesMoveByBeatsAndByMillisecondsAndAreCopiedToAllSectionsAlike() {
        SongId lanterns = new SongId("lanterns");
        Plan moved = new CueEdit.MoveCues(lanterns, List.of(2), 960, 0).apply(Evening.plan());
        assertThat(text(moved, lanterns, 2)).isEqualTo("bar 19 beat 2");
        assertThat(text(new CueEdit.MoveCues(lanterns, List.of(2), 0, -5_000).apply(moved), lanterns, 2))
                .isEqualTo("0:47.604");
        Plan copied = new CueEdit.CopyToAlike(lanterns, List.of(2)).apply(moved);
        assertThat(copied.book().song(lanterns).cues()).hasSize(6);
        assertThat(List.of(text(copied, lanterns, 5), text(copied, lanterns, 6)))
                .containsExactly("bar 31 beat 2", "bar 43 beat 2");
        refused(new CueEdit.CopyToAlike(lanterns, List.of(2)), copied, "cues", "all of them have these cues");
    }

    private static String text(Plan plan, SongId song, int cue) {
        return plan.book()
                .song(song)
                .cue(cue)
                .orElseThrow()
                .at()
                .text(plan.book().song(song).form().tempoMap());
    }

    @Test
    void capturedPressesAreSnappedAndTidied() {
        Form form = Evening.plan().book().song(EBB).form();
        Deed scene = new Deed(Optional.of(SCENE), Optional.empty());
        Deed other = new Deed(Optional.of(Sketch.stepOf("guitar-sounds select:patch-3")), Optional.empty());
        Deed foot = new Deed(Optional.empty(), Optional.of(Sketch.at("foot-board 4")));
        List<Hit> hits = List.of(
                new Hit(6_527_000, scene, false),
                new Hit(6_560_000, scene, false),
                new Hit(6_700_000, scene, true),
                new Hit(6_490_000, other, false),
                new Hit(9_010_000, foot, false));
        Capture capture = Capture.of(form, hits, 960, true);
        assertThat(capture.taken())
                .extracting(
                        taken -> Clock.shift(taken.shift()),
                        taken -> taken.dropped().orElse("kept"))
                .containsExactly(
                        tuple("+10 ms", "kept"),
                        tuple("−27 ms", "kept"),
                        tuple("−60 ms", "the same twice"),
                        tuple("−200 ms", "release, a note-off"),
                        tuple("−10 ms", "kept"));
        assertThat(capture.cues(7))
                .extracting(
                        Cue::number,
                        cue -> cue.at().text(form.tempoMap()),
                        cue -> cue.steps().size())
                .containsExactly(tuple(7, "bar 4 beat 2", 2), tuple(8, "bar 5 beat 3", 0));
        assertThat(Capture.of(form, hits.subList(0, 1), 0, true)
                        .taken()
                        .getFirst()
                        .anchor())
                .isEqualTo(new Anchor.OnClock(6_527_000));
    }

    /** 4:47 trimmed to 4:36 and the next crossfaded by 4 s: it starts 15 s earlier than untrimmed and hard. */
    @Test
    void trimsAndCrossfadesBringTheNextForward() {
        Sketch sketch = Evening.rig()
                .song("Long", "tempo 60\nmetre 2/4\nAll: 143 bars\nmetre 1/4\nTail: 1 bar\n")
                .song("Next", "All: 8 bars\n")
                .edit(new OrderEdit.AddShow("Night"))
                .edit(new OrderEdit.AddSongTo(new ShowId("night"), "long"))
                .edit(new OrderEdit.AddSongTo(new ShowId("night"), "next"));
        Plan before = sketch.plan();
        assertThat(Clock.brief(before.book().songs().getFirst().lengthMicros())).isEqualTo("4:47");
        Plan after = new OrderEdit.DescribePart(
                        new ShowId("night"),
                        1,
                        Item.SONG,
                        "",
                        "",
                        "",
                        Transition.Way.CROSSFADE,
                        "0:04",
                        "",
                        "",
                        Optional.empty())
                .apply(new SongEdit.DescribeSong(new SongId("long"), "Long", "", "", "", "", "0:11", "1", "", "")
                        .apply(before));
        assertThat(Clock.brief(after.book().songs().getFirst().lengthMicros())).isEqualTo("4:36");
        assertThat(start(before, 1) - start(after, 1)).isEqualTo(15_000_000);
    }

    private static long start(Plan plan, int part) {
        return Running.of(plan.book(), plan.book().shows().getFirst())
                .parts()
                .get(part)
                .startMicros();
    }

    @Test
    void anOrderRunsByTheClock() {
        Plan plan = Evening.sketch()
                .edit(new OrderEdit.DescribePart(
                        Evening.SHOW,
                        3,
                        Item.TALK,
                        "Tale",
                        "2:00",
                        "",
                        Transition.Way.TAIL,
                        "0:04.5",
                        "",
                        "20:00",
                        Optional.of(Sketch.at("foot-board 4"))))
                .foot("ebb", "4|1", "foot-board 4")
                .plan();
        Running running = Running.of(plan.book(), plan.book().shows().getFirst());
        assertThat(running.parts())
                .extracting(part -> new TimeOfDay(19 * 60 + 30).after(part.startMicros()))
                .containsExactly("19:25:00", "19:30:00", "19:32:29", "19:34:33", "19:35:21");
        assertThat(running.parts().get(2).pad().orElseThrow().toString()).isEqualTo("G");
        assertThat(running.words()).isEqualTo("fits, 5:51 left");
        assertThat(running.presses(plan.book(), plan.switches())).isEqualTo(Map.of(Sketch.at("foot-board 4"), 2));
    }

    @Test
    void lastWeeksShowIsCopiedAndTheRosterMutes() {
        Plan plan = new OrderEdit.SetRoster(Evening.SHOW, List.of("Drums"))
                .apply(new OrderEdit.CopyShow(Evening.SHOW, "Second evening", "2026-12-12").apply(Evening.plan()));
        Song song = plan.book().song(new SongId("lanterns"));
        assertThat(plan.book().shows())
                .extracting(show -> song.stems().stream()
                        .filter(stem -> show.sounds(song.id(), stem))
                        .map(stem -> stem.name().text())
                        .toList())
                .containsExactly(List.of("Strings", "Click"), List.of("Drums", "Strings", "Click"));
        assertThat(plan.book().tonight().orElseThrow().day().orElseThrow().toString())
                .isEqualTo("2026-12-12");
        assertThat(song.stems()).extracting(stem -> stem.sort().isTransposed()).containsExactly(false, true, false);
    }

    @Test
    void badInputIsRefusedAtItsField() {
        Plan plan = Evening.plan();
        refused(new SongEdit.AddSong("ebb", ""), plan, "title", "There is already a song called Ebb");
        refused(new SongEdit.TellForm(EBB, "Verse"), plan, "how", "Line 1: Write a section");
        refused(
                new SongEdit.DescribeSong(EBB, "Ebb", "H", "", "", "", "", "", "", ""),
                plan,
                "played",
                "Write a key such as D");
        refused(
                new SongEdit.DescribeSong(EBB, "Ebb", "", "", "", "0:30", "0:30", "", "", ""),
                plan,
                "trimEnd",
                "cut away the whole song");
        refused(
                new SongEdit.DescribeSong(EBB, "Ebb", "", "", "", "", "", "", "lantern-desk", ""),
                plan,
                "player",
                "plays no songs");
        refused(new SongEdit.NewTempo(EBB, "4000", false), plan, "tempo", "10 to 400");
        refused(new CueEdit.AddCue(EBB, "99|9", List.of(SCENE), Optional.empty()), plan, "at", "it has no beat 9");
        refused(
                new CueEdit.AddCue(EBB, "start of Coda", List.of(SCENE), Optional.empty()),
                plan,
                "at",
                "No section is called \"Coda\"");
        refused(new CueEdit.AddCue(EBB, "1|1", List.of(), Optional.empty()), plan, "step", "Say what the cue does");
        refused(new CueEdit.MoveCues(EBB, List.of(1), 960, 0), plan, "cues", "has no place to be moved from");
        refused(new CueEdit.PlaceCue(EBB, 77, "1|1"), plan, "cues", "no longer there");
        refused(
                new OrderEdit.DescribeShow(Evening.SHOW, "First evening", "2026-02-30", "", ""),
                plan,
                "day",
                "There is no day 2026-02-30");
        refused(
                new OrderEdit.DescribeShow(Evening.SHOW, "First evening", "", "25:00", ""),
                plan,
                "start",
                "0:00 to 23:59");
        refused(new OrderEdit.AddPart(Evening.SHOW, Item.TALK, "Tale", "soon"), plan, "length", "minutes:seconds");
    }

    private static void refused(Edit edit, Plan plan, String field, String words) {
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> edit.apply(plan))
                .satisfies(refused -> {
                    assertThat(refused.field()).isEqualTo(field);
                    assertThat(refused.words()).contains(words);
                });
    }
}
