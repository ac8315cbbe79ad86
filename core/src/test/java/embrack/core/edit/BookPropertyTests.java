package embrack.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.check.rule.Told;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Item;
import embrack.core.show.Running;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.Transition;
import embrack.core.show.text.SongReading;
import embrack.core.show.text.SongText;
import embrack.core.sim.SongProof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Step;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

class BookPropertyTests {

    private static final List<String> PLACES = List.of(
            "1|1",
            "9|3",
            "0:20",
            "0:33.333",
            "start of Refrain",
            "end of Verse",
            "on load",
            "on stop",
            "17|1|1/2",
            "99|1",
            "2|9",
            "soon",
            "");
    private static final List<String> STEPS = List.of(
            "lantern-desk recall:scene-2",
            "guitar-sounds select:patch-7",
            "old-desk toggle:scene-1",
            "old-desk toggle:chase-2",
            "vocal-mixer toggle-mute:input-2",
            "vocal-mixer level:input-3:99",
            "player on:loop",
            "player jump:song-2");
    private static final List<String> FORMS = List.of(
            "tempo 100\nVerse: 12 bars\nRefrain: 4 bars\n",
            "tempo 60 to 180 over 4 bars\nVerse: 4 bars\nmetre 5/8\nRefrain: 30 bars\n",
            "Verse\n",
            "metre 7/8\nA: 500 bars\n",
            "");
    private static final List<String> TIMES = List.of("0:04", "2:00", "1:00:00", "", "-1", "9:99");

    private static <T> T one(Random random, List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private static Edit edit(Random random, Plan plan) {
        List<Song> songs = plan.book().songs();
        SongId song = songs.isEmpty() ? new SongId("gone") : one(random, songs).id();
        List<Cue> cues = plan.book().find(song).map(Song::cues).orElse(List.of());
        int cue = cues.isEmpty() ? 1 : one(random, cues).number();
        Step step = Sketch.stepOf(one(random, STEPS));
        Show show = plan.book().tonight().orElse(Show.empty(Evening.SHOW, new TapeLabel("x")));
        int part = show.order().isEmpty() ? 1 : one(random, show.order()).number();
        return switch (random.nextInt(24)) {
            case 0 -> new SongEdit.AddSong("Song " + random.nextInt(9), one(random, FORMS));
            case 1 -> new SongEdit.RemoveSong(song);
            case 2 -> new SongEdit.TellForm(song, one(random, FORMS));
            case 3 -> new SongEdit.NewTempo(song, String.valueOf(random.nextInt(500)), random.nextBoolean());
            case 4 ->
                new SongEdit.DescribeSong(
                        song,
                        "Song " + random.nextInt(9),
                        one(random, List.of("D", "Bbm", "H", "")),
                        "E",
                        "",
                        one(random, TIMES),
                        one(random, TIMES),
                        "2",
                        one(random, List.of("", "player", "gone")),
                        "n");
            case 5, 6, 7 -> new CueEdit.AddCue(song, one(random, PLACES), List.of(step), Optional.empty());
            case 8 ->
                new CueEdit.AddCue(
                        song,
                        one(random, PLACES),
                        List.of(),
                        Optional.of(Sketch.at("foot-board " + (1 + random.nextInt(12)))));
            case 9 ->
                new CueEdit.MoveCues(
                        song, List.of(cue), random.nextInt(9_000) - 4_500L, random.nextInt(99_000) - 50_000L);
            case 10 -> new CueEdit.CopyToAlike(song, List.of(cue));
            case 11 -> new CueEdit.RemoveCues(song, List.of(cue));
            case 12 -> new CueEdit.PlaceCue(song, cue, one(random, PLACES));
            case 13 ->
                new CueEdit.DragCues(
                        song, List.of(cue), cue, random.nextInt(90_000_000), one(random, List.of(0, 240, 960, 30_720)));
            case 14 -> new CueEdit.SendEarly(song, cue, random.nextBoolean());
            case 15 -> new CueEdit.LeaveOff(song, cue, random.nextBoolean());
            case 16 -> new CueEdit.AddToCue(song, cue, List.of(step));
            case 17 -> new CueEdit.WaitInCue(song, cue, 0, step, String.valueOf(random.nextInt(12_000)));
            case 18 -> new OrderEdit.AddSongTo(show.id(), song.text());
            case 19 ->
                new OrderEdit.AddPart(
                        show.id(),
                        one(random, List.of(Item.TALK, Item.COUNTDOWN, Item.WALK_OUT)),
                        "",
                        one(random, TIMES));
            case 20 -> new OrderEdit.MovePart(show.id(), part, random.nextInt(12) - 2);
            case 21 ->
                new OrderEdit.DescribePart(
                        show.id(),
                        part,
                        one(random, List.of(Item.values())),
                        one(random, List.of("Part", "")),
                        one(random, TIMES),
                        one(random, List.of("G", "")),
                        one(random, List.of(Transition.Way.values())),
                        one(random, TIMES),
                        one(random, List.of("A", "")),
                        one(random, TIMES),
                        Optional.empty());
            case 22 -> new OrderEdit.RemovePart(show.id(), part);
            default ->
                random.nextBoolean()
                        ? new OrderEdit.SetRoster(show.id(), List.of("Drums"))
                        : new OrderEdit.TurnStem(
                                show.id(), song, one(random, List.of("Drums", "", "None")), random.nextBoolean());
        };
    }

    /**
     * Whatever is done to a book, it is done whole or refused with a sentence, and what stands afterwards can be
     * proven, read back and put in order.
     */
    @Property(tries = 120)
    void everyEditIsMadeOrRefused(@ForAll @IntRange(max = 1_000_000) int seed) {
        var random = new Random(seed);
        Plan plan = Evening.plan();
        Report report = Report.of(plan);
        for (int i = 0; i < 25; i++) {
            Edit edit = edit(random, plan);
            try {
                assertThat(Wording.without(Language.ENGLISH).say(edit.summary(plan)))
                        .isNotBlank();
                plan = edit.apply(plan);
                report = Report.after(report, plan);
            } catch (Refused refused) {
                assertThat(refused.words()).as(edit.toString()).hasSizeGreaterThan(10);
                assertThat(refused.field()).isNotBlank();
            }
        }
        assertThat(report).isEqualTo(Report.of(plan));
        requireWhole(plan, report);
    }

    private static void requireWhole(Plan plan, Report report) {
        for (Song song : plan.book().songs()) {
            SongReading read = SongReading.of(SongText.of(song.form(), song.stems()));
            assertThat(read.form().orElseThrow().lengthMicros())
                    .isEqualTo(song.form().lengthMicros());
            assertThat(song.lengthMicros()).isPositive();
        }
        for (SongProof proof : report.book().songs()) {
            proof.cues().forEach(cue -> {
                boolean told = report.findings(proof.song().id()).stream()
                        .anyMatch(finding -> finding.cues().stream()
                                .anyMatch(at -> at.number() == cue.cue().number()));
                assertThat(told || cue.verdict() == Verdict.EXACT)
                        .as("a cue that is not exact is explained by a finding")
                        .isTrue();
                cue.sentMicros()
                        .ifPresent(sent -> assertThat(sent)
                                .isLessThanOrEqualTo(cue.micros().orElseThrow()));
            });
        }
        assertThat(report.findings())
                .extracting(f -> Told.of(f, report.plan()).where())
                .noneMatch(String::isBlank);
        plan.book().tonight().ifPresent(show -> requireInOrder(plan.book(), show));
    }

    /** Each part begins where the one before ends, but for what their transition says. */
    private static void requireInOrder(Book book, Show show) {
        List<Running.Part> parts = Running.of(book, show).parts();
        List<Entry> order = show.order();
        assertThat(parts).hasSameSizeAs(order);
        for (int i = 0; i + 1 < parts.size(); i++) {
            boolean begins = order.get(i).item().isBeforeStart()
                    && !order.get(i + 1).item().isBeforeStart()
                    && order.subList(0, i).stream()
                            .allMatch(entry -> entry.item().isBeforeStart());
            assertThat(parts.get(i + 1).startMicros())
                    .isEqualTo(
                            begins
                                    ? 0
                                    : parts.get(i).endMicros()
                                            + order.get(i).transition().gapMicros());
        }
    }

    /**
     * Moved there and back, a cue is where it was; copied to sections alike, each copy lies as far behind the start of
     * its section.
     */
    @Property(tries = 100)
    void movesAreTakenBackByTheirOpposite(
            @ForAll @IntRange(min = 1, max = 9_000) int ticks, @ForAll @IntRange(max = 3) int which) {
        SongId song = new SongId("lanterns");
        Plan plan = Evening.plan();
        List<Integer> cue = List.of(List.of(2, 3, 4, 2).get(which));
        Plan there = new CueEdit.MoveCues(song, cue, ticks, 0).apply(plan);
        Plan back = new CueEdit.MoveCues(song, cue, -ticks, 0).apply(there);
        assertThat(micros(back, song, cue.getFirst())).isEqualTo(micros(plan, song, cue.getFirst()));
        assertThat(micros(there, song, cue.getFirst())).isGreaterThan(micros(plan, song, cue.getFirst()));
    }

    private static long micros(Plan plan, SongId song, int cue) {
        Song found = plan.book().song(song);
        return found.cue(cue).orElseThrow().at().micros(found.form()).orElseThrow();
    }

    /** Another tempo and back is the same song, as near as a tempo can be written. */
    @Property(tries = 100)
    void aTempoIsTakenBack(@ForAll @IntRange(min = 60, max = 200) int tempo) {
        SongId song = new SongId("lanterns");
        Plan plan = Evening.plan();
        Plan other = new SongEdit.NewTempo(song, String.valueOf(tempo), true).apply(plan);
        double factor = 92.0 / tempo;
        List<Long> before = times(plan, song);
        List<Long> after = times(other, song);
        for (int i = 0; i < before.size(); i++) {
            assertThat(Math.abs(after.get(i) - before.get(i) * factor)).isLessThan(5_000);
        }
        Plan back = new SongEdit.NewTempo(song, "92", true).apply(other);
        assertThat(back.book().song(song).recorded()).isEmpty();
        assertThat(Math.abs(back.book().song(song).lengthMicros()
                        - plan.book().song(song).lengthMicros()))
                .isLessThan(5_000);
    }

    private static List<Long> times(Plan plan, SongId song) {
        List<Long> times = new ArrayList<>();
        Song found = plan.book().song(song);
        found.cues().forEach(cue -> cue.at().micros(found.form()).ifPresent(times::add));
        times.add(found.lengthMicros());
        return times;
    }
}
