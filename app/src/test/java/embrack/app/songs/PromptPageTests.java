package embrack.app.songs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Evening;
import embrack.core.check.Report;
import embrack.core.edit.SongEdit;
import embrack.core.plan.Plan;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PromptPageTests {

    private static final SongId LANTERNS = new SongId("lanterns");

    private static PromptPage page(Plan plan, SongId song, int zoom, int cue) {
        return PromptPage.of(
                Report.of(plan), plan.book().song(song), new PromptLook(zoom, cue, 960, "", "", ""), "/songs/" + song);
    }

    /** A song with a cue on every beat of sixteen bars. */
    private static Plan dense() {
        List<String> cues = new ArrayList<>();
        for (int beat = 0; beat < 64; beat++) {
            cues.add("%d|%d = lantern-desk recall:scene-%d".formatted(1 + beat / 4, 1 + beat % 4, 1 + beat % 12));
        }
        return Evening.rig()
                .song("Dense", "tempo 120\nAll: 16 bars\n")
                .cues("dense", cues.toArray(String[]::new))
                .plan();
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6})
    void labelsOfADeviceNeverCoverEachOtherAndStayNearTheirMoment(int zoom) {
        PromptPage page = page(dense(), new SongId("dense"), zoom, 0);
        List<PromptPage.Pin> labelled = page.pins().stream()
                .filter(PromptPage.Pin::hasLabel)
                .sorted(Comparator.comparingInt(PromptPage.Pin::y))
                .toList();
        for (int i = 0; i + 1 < labelled.size(); i++) {
            assertThat(labelled.get(i + 1).y() - labelled.get(i).y()).isGreaterThanOrEqualTo(26);
        }
        assertThat(labelled).allMatch(pin -> pin.y() - pin.at() <= 66 && pin.y() >= pin.at() - 13);
        assertThat(page.pins()).hasSize(64);
        assertThat(labelled.size()).isGreaterThan(zoom == 6 ? 63 : 15);
        assertThat(page.size().height())
                .isGreaterThan(
                        page.pins().stream().mapToInt(PromptPage.Pin::at).max().orElseThrow());
    }

    @Test
    void timeRunsDownThePageByTheClock() {
        Plan plan = Evening.plan();
        Song song = plan.book().song(LANTERNS);
        PromptPage page = page(plan, LANTERNS, 0, 0);
        Map<String, Integer> heights = new HashMap<>();
        page.blocks().forEach(block -> heights.put(block.name(), block.height()));
        double perSecond = page.size().scale();
        for (int i = 0; i < song.form().sections().size(); i++) {
            double seconds = (song.form().endMicros(i) - song.form().startMicros(i)) / 1e6;
            assertThat((double) heights.get(song.form().sections().get(i).name().text()))
                    .isBetween(seconds * perSecond - 1.5, seconds * perSecond + 1.5);
        }
        assertThat(page.blocks().stream().filter(PromptPage.Block::vamp))
                .extracting(PromptPage.Block::name)
                .containsExactly("Vamp");
        assertThat(page.ruler().lines()).isSortedAccordingTo(Comparator.comparingInt(PromptPage.Line::y));
        assertThat(page.ruler().lines().getFirst()).isEqualTo(new PromptPage.Line(14, "1", "", "0:00.000", true));
        assertThat(page.ruler().lines().getLast().bar()).isEqualTo("end");
        assertThat(page.ruler().changes())
                .extracting(PromptPage.Change::words)
                .containsExactly("tempo 92 to 76", "7/8, tempo 140", "4/4, tempo 92");
    }

    @Test
    void eachDeviceHasAColumnAndFeetHaveOne() {
        Plan plan = Evening.sketch()
                .foot("lanterns", "23|1", "foot-board 4")
                .cues("lanterns", "24|1 = player on:loop")
                .plan();
        PromptPage page = page(plan, LANTERNS, 0, 2);
        assertThat(page.columns())
                .extracting(PromptPage.Column::words)
                .containsExactly("Feet", "Player", "Lantern desk", "Guitar sounds");
        assertThat(page.columns()).extracting(PromptPage.Column::x).isSorted().doesNotHaveDuplicates();
        assertThat(page.pins().stream().filter(PromptPage.Pin::isChosen))
                .extracting(PromptPage.Pin::words)
                .containsExactlyInAnyOrder("Scene 4", "Patch 2");
        assertThat(page.pins().stream().filter(pin -> pin.tone().equals("pressed")))
                .extracting(PromptPage.Pin::whole)
                .containsExactly("foot: switch 4");
        assertThat(page.automatic())
                .extracting(PromptPage.AutoPin::when, PromptPage.AutoPin::words)
                .containsExactly(tuple("on load", "Lantern desk: recall Scene 1, Guitar sounds: select Patch 1"));
        assertThat(page.then().orElseThrow().next()).isEqualTo("Tale");
    }

    @Test
    void whatIsWrongIsSeenOnThePage() {
        Plan plan = new SongEdit.DescribeSong(LANTERNS, "Lanterns", "D", "E", "", "0:02", "0:30", "1", "", "")
                .apply(Evening.sketch()
                        .cues("lanterns", "57|1 = lantern-desk recall:scene-2", "0:05 = lantern-desk recall:scene-3")
                        .plan());
        PromptPage page = page(plan, LANTERNS, 0, 0);
        assertThat(page.cuts()).hasSize(2).allMatch(cut -> cut.height() > 0);
        assertThat(page.pins().stream().filter(pin -> pin.anchor().equals("bar 57")))
                .extracting(PromptPage.Pin::tone)
                .containsExactly("stop");
        assertThat(page.pins().stream().filter(pin -> pin.anchor().equals("0:05.000")))
                .extracting(PromptPage.Pin::tone)
                .containsExactly("exact");
    }

    /** Near, beats have lines of their own; far, only as many bars as can be read. */
    @Test
    void asManyLinesAsCanBeRead() {
        PromptPage near = page(dense(), new SongId("dense"), 6, 0);
        assertThat(near.ruler().lines().stream().limit(6).map(line -> line.bar() + "/" + line.beat()))
                .containsExactly("1/", "/2", "/3", "/4", "2/", "/2");
        assertThat(near.ruler().lines().get(1).clock()).isEqualTo("0:00.500");
        PromptPage far = page(dense(), new SongId("dense"), 0, 0);
        for (int i = 0; i + 1 < far.ruler().lines().size(); i++) {
            assertThat(far.ruler().lines().get(i + 1).y()
                            - far.ruler().lines().get(i).y())
                    .isGreaterThanOrEqualTo(18);
        }
    }

    /** However a person asks, the page is drawn. */
    @Test
    void oddLooksAreMadeSense() {
        PromptLook look = new PromptLook(99, -3, 17, "", "", "");
        assertThat(List.of(look.zoom(), look.grid())).containsExactly(6, 960);
        assertThat(look.chosen()).isEmpty();
        assertThat(new PromptLook(2, 5, 240, "x", "y", "z").query()).isEqualTo("?zoom=2&cue=5&grid=240");
        assertThat(PromptLook.plain().query()).isEmpty();
        assertThat(page(Evening.rig().song("Bare", "").plan(), new SongId("bare"), 3, 4)
                        .pins())
                .isEmpty();
    }

    @Test
    void thePanelSaysWhatACueSendsAndWhen() {
        Plan plan = Evening.sketch()
                .cues("lanterns", "20|1 = old-desk toggle:scene-2")
                .plan();
        CuePanel panel = CuePanel.of(
                Report.of(plan),
                plan.book().song(LANTERNS),
                new PromptLook(0, 2, 960, "", "", "level"),
                "/songs/lanterns");
        assertThat(List.of(
                        panel.place().at(), panel.place().clock(), panel.place().tie()))
                .containsExactly("bar 19", "0:46.957", "stays on its bar");
        assertThat(panel.does().steps())
                .extracting(CuePanel.StepRow::messages)
                .containsExactly("ch 3 note 39 127  92 27 7F", "ch 5 PC 2  C4 01");
        assertThat(panel.sending().times().getLast()).startsWith("2 messages at this moment: the last waits");
        assertThat(panel.search().offers().getFirst().words()).startsWith("Vocal mixer: set level of Input 1");
        assertThat(panel.mark().orElseThrow().words()).isEqualTo("exact");
        assertThat(panel.sending().turns()).isFalse();
        CuePanel fresh = CuePanel.of(
                Report.of(plan),
                plan.book().song(LANTERNS),
                new PromptLook(0, 0, 960, "17|1", "lantern-desk", ""),
                "/songs/lanterns");
        assertThat(fresh.cue().isNew()).isTrue();
        assertThat(fresh.search().offers())
                .isNotEmpty()
                .allMatch(offer -> offer.device().equals("lantern-desk"));
        assertThat(fresh.hasPlayer()).isTrue();
        assertThat(fresh.search().moreOffers()).isPositive();
        assertThat(fresh.feet()).extracting(CuePanel.Choice::words).contains("Foot board A/3");
    }

    @Test
    void captureReadsWhatWasPressed() {
        Plan plan = Evening.sketch()
                .step("foot-board 5: lantern-desk recall:scene-8")
                .plan();
        Song song = plan.book().song(LANTERNS);
        CapturePage page = CapturePage.of(
                plan, song, new CapturePage.Asked("foot-board", "", "6527-2,6700-2u,9000-1", 960, true, false));
        assertThat(page.keys().keys())
                .extracting(CapturePage.Key::words)
                .containsExactly(
                        "switch 3: Player: repeat Section",
                        "switch 4: Lantern desk: recall Scene 5",
                        "switch 5: Lantern desk: recall Scene 8");
        assertThat(page.result().kept()).isEqualTo(2);
        assertThat(page.result().taken())
                .extracting(CapturePage.Taken::words, CapturePage.Taken::dropped)
                .contains(tuple("Lantern desk: recall Scene 5", "release, a note-off"));
        assertThat(page.music().beats()).startsWith("0!,652,1304,1957,2609!");
        assertThat(page.music().bars()).startsWith("0:Count-in|2609:Count-in|5217:Verse 1");
        CapturePage feet = CapturePage.of(plan, song, new CapturePage.Asked("foot-board", "", "6527-2", 0, true, true));
        assertThat(feet.result().taken().getFirst().to()).isEqualTo("0:06.527, 0:06.527");
        assertThat(feet.result().taken().getFirst().words()).isEqualTo("foot: Foot board, bank A, switch 4");
        assertThat(CapturePage.of(plan, song, new CapturePage.Asked("", "", "", 960, true, false))
                        .keys()
                        .source())
                .isEqualTo("used");
    }

    @Test
    void howASongGoesIsShownInFieldsAndAsText() {
        Plan plan = new SongEdit.NewTempo(LANTERNS, "98", false).apply(Evening.plan());
        HowPage page = HowPage.of(plan, plan.book().song(LANTERNS));
        assertThat(page.speed().stretch()).isEqualTo("recorded at 92: times × 0.939, +6.5 %");
        assertThat(page.transposed())
                .containsExactly(
                        "Move by −2 semitones, frequency × 0.8909.",
                        "Drums: left alone, percussion",
                        "Strings: −2",
                        "Click: left alone, click");
        assertThat(page.sections().get(1))
                .isEqualTo(new HowPage.SectionRow("Verse 1", "3–18", "0:04.898", "0:39.184", "low and slow"));
        assertThat(page.freedoms())
                .contains(
                        "repeat a section: Foot board, bank A, switch 3",
                        "stop with a fade: the player can; it is on no switch");
        SongHead head = SongHead.of(Report.of(plan), plan.book().song(LANTERNS), "/rigs/1");
        assertThat(List.of(head.key(), head.facts(), head.before(), head.after()))
                .containsExactly(
                        "D, was E: −2", "98, 4/4, 2:20, stretched +6.5 %; sent by Player", "", "/rigs/1/songs/ebb");
    }
}
