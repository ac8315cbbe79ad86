package embrack.core.offer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Evening;
import embrack.core.MuteBoard;
import embrack.core.Sketch;
import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.edit.GearEdit;
import embrack.core.edit.NumberEdit;
import embrack.core.gear.Implementation;
import embrack.core.gear.Kind;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.plan.Plan;
import embrack.core.switches.Practice;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a search finds, and in which order. */
class OffersTests {

    private static List<String> found(Plan plan, String search) {
        return new Offers(plan)
                .find(Sketch.at("foot-board 1"), search).stream()
                        .map(Offer::words)
                        .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "scene 3;Lantern desk: recall Scene 3",
                "3 SCENE lantern;Lantern desk: recall Scene 3",
                "ment 1 mute 2;Nothing",
                "level input 2 to 64;Vocal mixer: set level of Input 2 to 64",
                "level input 2 to 200;Nothing",
                "auto run;Old desk: switch on Auto run",
                "toggle auto run;Old desk: toggle Auto run"
            })
    void theFirstThatIsFoundHasEveryWord(String search, String first) {
        List<String> found = found(Evening.plan(), search);
        assertThat(found.isEmpty() ? "Nothing" : found.getFirst()).isEqualTo(first);
    }

    @Test
    void wordsAtTheBeginningCountMoreThanThoseInside() {
        List<String> found = found(Evening.plan(), "scene 1");
        assertThat(found).isNotEmpty();
        assertThat(found.getFirst()).endsWith("Scene 1");
        assertThat(found.indexOf("Lantern desk: recall Scene 1"))
                .isLessThan(found.indexOf("Lantern desk: recall Scene 10"));
    }

    /** A patch by its bank, as the box counts first and then as it may have been meant; each is named. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "banks of 8;bank 3 patch 2;Patch 26;banks from 0, as this box counts;Patch 18;banks from 1",
                "banks of 8, first 1-1;bank 3 patch 2;Patch 18;banks from 1, as this box counts;Patch 26;banks from 0",
                "banks of 5, first A1;sounds bank c patch 4;Patch 14;banks from A, as this box counts;;",
                "banks of 8;bank 12 patch 4;Odd one;banks from 0, as this box counts;Patch 92;banks from 1"
            })
    void aPatchIsFoundByItsBank(String banks, String search, String one, String how, String two, String other) {
        Plan plan = Sketch.of("Banks")
                .box("Foot board", "ten-switch-treadle-board")
                .box("Sounds", Kind.SOUND_SWITCHER, """
                        port IN: 5-pin in
                        setting MIDI receive channel: 1..16, factory 2
                        """, """
                        programs from 1
                        %s
                        select Patch 1..128: pc 1..128
                        except Patch 100: nothing
                        select "Odd one": pc 100
                        """.formatted(banks))
                .link("foot-board.out > sounds.in")
                .plan();
        String place = search.substring(search.indexOf("bank")).replace(" patch", ", patch");
        List<String> wanted = new ArrayList<>(List.of("Sounds: select %s (%s, %s)".formatted(one, place, how)));
        if (two != null) {
            wanted.add("Sounds: select %s (%s, %s)".formatted(two, place, other));
        }
        assertThat(found(plan, search)).isEqualTo(wanted);
        assertThat(found(plan, "patch 12").getFirst()).startsWith("Sounds: select Patch 12");
        assertThat(found(plan, "odd")).hasSize(1);
    }

    @Test
    void whatWearsTapeComesBeforeWhatDoesNot() {
        Plan plain = MuteBoard.plan();
        Plan taped = new GearEdit.LabelPart(MuteBoard.MIXER, new PartId("input-9"), "Zither").apply(plain);
        List<String> found = new Offers(taped)
                .find(MuteBoard.at(1), "mute").stream().map(Offer::words).toList();
        assertThat(found.indexOf("Vocal mixer: mute Zither")).isLessThan(found.indexOf("Vocal mixer: mute Input 2"));
    }

    @Test
    void mutesThatToggleComeLastUnlessTheCrewWorksThatWay() {
        Plan plan = Sketch.of("Small")
                .box("Foot board", "ten-switch-treadle-board")
                .box("Mixer", "stage-mixer-12")
                .link("foot-board.out > mixer.in")
                .plan();
        List<String> first = found(plan, "mute input 3");
        List<String> other = found(new NumberEdit.Choose(Practice.MUTES, 1).apply(plan), "mute input 3");
        assertThat(first).containsExactlyInAnyOrderElementsOf(other);
        assertThat(first.getLast()).contains("toggle");
        assertThat(other.getFirst()).contains("toggle");
    }

    /** A chase stands still without its auto run: both are one thing to pick, but a toggle is never added by itself. */
    @ParameterizedTest
    @CsvSource({"'on Auto run: note 9', on Auto run", "'toggle Auto run: note 9', ''"})
    void whatStandsStillAloneComesWithWhatItNeeds(String row, String along) {
        Plan plan = Sketch.of("Chases")
                .box("Foot board", "ten-switch-treadle-board")
                .edit(new GearEdit.AddDevice(
                        "Desk",
                        Library.find(new ModelId("scene-desk"))
                                .orElseThrow()
                                .withImplementation(Implementation.of(Chart.of(
                                        "toggle Chase 1..2: note 1..2\n" + row + "\nneeds Auto run: Chase 1..2")))))
                .plan();
        List<Offer> offers = new Offers(plan).find(Sketch.at("foot-board 1"), "chase 2");
        assertThat(offers)
                .extracting(
                        offer -> offer.step().action().verb().phrase(),
                        offer -> offer.along().stream()
                                .map(step -> step.action().verb().phrase() + " Auto run")
                                .collect(Collectors.joining()))
                .containsExactly(tuple("on", along), tuple("off", ""), tuple("toggle", along));
    }

    @Test
    void nothingTypedFindsEverythingInTheOrderOfTheRig() {
        Plan plan = Evening.plan();
        long all = plan.rig().devices().stream()
                .mapToLong(d ->
                        plan.rig().chart(d.id()).wishes().stream().distinct().count())
                .sum();
        assertThat(found(plan, "")).hasSize((int) all);
    }
}
