package embrack.core.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.edit.CueEdit;
import embrack.core.edit.OrderEdit;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Item;
import embrack.core.show.SongId;
import embrack.core.show.Transition;
import embrack.core.show.When;
import embrack.core.sim.ShowRun.Leftover;
import embrack.core.sim.ShowRun.Upset;
import embrack.core.word.Wording;
import embrack.core.world.Lane;
import embrack.core.world.Place;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ShowRunTests {

    private static final SongId EBB = new SongId("ebb");

    private static ShowRun run(Plan plan) {
        return new BookProver(plan.rig()).prove(plan).run();
    }

    private static Sketch off(Sketch sketch, String cue) {
        sketch.cues("ebb", cue);
        return sketch.edit(new CueEdit.LeaveOff(EBB, sketch.songOf("ebb").nextNumber() - 1, true));
    }

    @Test
    void anEveningInOrderUpsetsNothing() {
        ShowRun run = run(Evening.plan());
        assertThat(run.upsets()).isEmpty();
        assertThat(run.leftovers()).isEmpty();
        assertThat(run.jumps())
                .as("each section once more, which a switch can bring about, and one song left out")
                .isEqualTo(7 + 2 + 1 + 1);
        Plan again = Evening.sketch().step("foot-board 6: player jump:song-2").plan();
        assertThat(run(again).jumps()).as("Ebb from anywhere, too").isEqualTo(7 + 2 + 1 + 1 + 2);
    }

    /** A mistake is told at the cue that makes it, and not again by those that follow from it. */
    @Test
    void oneMistakeIsToldOnce() {
        Sketch sketch = Evening.sketch().cues("ebb", "3|1 = old-desk toggle:scene-2", "5|1 = old-desk toggle:scene-2");
        off(sketch, "9|1 = old-desk toggle:scene-2");
        List<Upset> upsets = run(sketch.plan()).upsets();
        assertThat(upsets).extracting(Upset::cue).containsExactly(6);
        assertThat(upsets.getFirst().jump()).isEqualTo(new Jump.None());
        assertThat(List.of(upsets.getFirst().meant(), upsets.getFirst().actual()))
                .containsExactly(1, 0);
    }

    /** A toggle that spans two sections fails when the first is played again; within one section it does not. */
    @Test
    void aSectionPlayedTwiceTurnsRoundWhatWasOnAlready() {
        Plan spans = off(
                        Evening.sketch()
                                .step("foot-board 6: player jump:song-2")
                                .cues("ebb", "9|1 = old-desk toggle:scene-2"),
                        "18|1 = old-desk toggle:scene-2")
                .plan();
        assertThat(run(spans).upsets())
                .extracting(Upset::jump)
                .contains(new Jump.Restart(new TapeLabel("Verse")), new Jump.Repeat(new TapeLabel("Refrain")));
        Plan inside = off(
                        Evening.sketch().cues("ebb", "9|1 = old-desk toggle:scene-2"), "12|1 = old-desk toggle:scene-2")
                .plan();
        assertThat(run(inside).upsets()).isEmpty();
    }

    /** What one song turns on and the next turns off fails when the first is left out. */
    @Test
    void aSongLeftOutIsMissed() {
        Sketch sketch = Evening.sketch()
                .cues("ebb", "23|1 = old-desk toggle:scene-2")
                .cues("slow-boats", "on load = old-desk toggle:scene-2");
        Plan plan = sketch.edit(new CueEdit.LeaveOff(new SongId("slow-boats"), 2, true))
                .plan();
        assertThat(run(plan).upsets())
                .extracting(upset -> words(plan, upset.jump()), Upset::song, Upset::meant)
                .contains(tuple("When Ebb is left out", new SongId("slow-boats"), 0));
    }

    /** A box whose notes alternate is read by what came before: the messages of the run are remembered across songs. */
    @Test
    void aBoxThatAlternatesIsFollowedThroughTheShow() {
        Plan once = off(
                        Evening.sketch().cues("ebb", "3|1 = vocal-mixer toggle-mute:input-4"),
                        "5|1 = vocal-mixer toggle-mute:input-4")
                .plan();
        assertThat(run(once).upsets()).isEmpty();
        Plan twice = Evening.sketch()
                .cues("ebb", "3|1 = vocal-mixer toggle-mute:input-4", "5|1 = vocal-mixer toggle-mute:input-4")
                .plan();
        assertThat(run(twice).upsets()).extracting(Upset::cue).containsExactly(6);
    }

    @Test
    void whatASongLeavesIsTheNextSongsUnlessItSetsItInItsFirstSection() {
        Sketch sketch = Evening.sketch().cues("lanterns", "30|1 = guitar-sounds on:loop-4");
        Leftover left = run(sketch.plan()).leftovers().getFirst();
        assertThat(left)
                .extracting(Leftover::song, Leftover::into, Leftover::value, Leftover::later)
                .containsExactly(new SongId("lanterns"), Optional.of(EBB), 1, false);
        assertThat(run(Evening.sketch()
                                .cues("lanterns", "30|1 = guitar-sounds on:loop-4")
                                .cues("ebb", "20|1 = guitar-sounds off:loop-4")
                                .plan())
                        .leftovers())
                .extracting(Leftover::later)
                .contains(true);
        assertThat(run(Evening.sketch()
                                .cues("lanterns", "30|1 = guitar-sounds on:loop-4")
                                .cues("ebb", "2|1 = guitar-sounds off:loop-4")
                                .plan())
                        .leftovers())
                .extracting(leftover -> words(Evening.plan(), leftover.jump()))
                .as("it is missed only when the song is left out that turns it off")
                .containsExactly("When Ebb is left out");
        assertThat(run(Evening.sketch()
                                .cues(
                                        "lanterns",
                                        "30|1 = guitar-sounds on:loop-4",
                                        "on stop = guitar-sounds off:loop-4")
                                .plan())
                        .leftovers())
                .isEmpty();
        assertThat(left.jump()).isEqualTo(new Jump.None());
    }

    /** Of the scenes of a desk one holds: setting any of them counts as setting the lane. */
    @Test
    void aChoiceIsSetByAnyOfItsFamily() {
        Plan plan = Evening.plan();
        assertThat(Lane.of(plan.rig(), place("lantern-desk", "scene-1")))
                .isEqualTo(Lane.of(plan.rig(), place("lantern-desk", "scene-12")));
        assertThat(Lane.of(plan.rig(), place("lantern-desk", "scene-1")))
                .isNotEqualTo(Lane.of(plan.rig(), place("guitar-sounds", "patch-1")));
    }

    private static Place place(String device, String part) {
        return new Place(new DeviceId(device), new PartId(part), Aspect.CHOSEN);
    }

    /** What moves by itself is told behind the last song too. */
    @Test
    void aChaseIsStoppedByTheEnd() {
        Plan plan = Evening.sketch()
                .cues("slow-boats", "9|1 = old-desk toggle:auto-run")
                .plan();
        assertThat(run(plan).leftovers()).isEmpty();
        Plan chase = Evening.sketch()
                .cues("slow-boats", "9|1 = old-desk toggle:chase-2, old-desk toggle:auto-run")
                .plan();
        assertThat(run(chase).leftovers().stream()
                        .filter(left -> left.into().isEmpty())
                        .map(left -> left.place().part().text()))
                .allMatch(part -> part.startsWith("chase"));
    }

    /** The order decides: the same songs the other way round leave other things behind. */
    @Test
    void anotherOrderIsAnotherRun() {
        Sketch sketch = Evening.sketch()
                .cues("lanterns", "30|1 = guitar-sounds on:loop-4")
                .cues("slow-boats", "1|1 = guitar-sounds off:loop-4");
        assertThat(run(sketch.plan()).leftovers()).extracting(Leftover::into).containsExactly(Optional.of(EBB));
        Plan moved = sketch.edit(new OrderEdit.MovePart(Evening.SHOW, 2, 0)).plan();
        assertThat(run(moved).leftovers()).isEmpty();
    }

    /** Presses between songs and inside them are part of the run. */
    @Test
    void feetTakePart() {
        Plan plan = Evening.sketch()
                .step("foot-board 7: old-desk toggle:scene-3")
                .cues("ebb", "9|1 = old-desk toggle:scene-3")
                .foot("ebb", "5|1", "foot-board 7")
                .plan();
        assertThat(run(plan).upsets()).extracting(Upset::cue).contains(5);
        Plan talk = Evening.sketch()
                .step("foot-board 7: old-desk toggle:scene-3")
                .cues("ebb", "on load = old-desk toggle:scene-3")
                .edit(new OrderEdit.DescribePart(
                        Evening.SHOW,
                        3,
                        Item.TALK,
                        "Tale",
                        "2:00",
                        "",
                        Transition.Way.HARD,
                        "",
                        "",
                        "",
                        Optional.of(Sketch.at("foot-board 7"))))
                .plan();
        assertThat(run(talk).upsets()).extracting(Upset::jump).contains(new Jump.None());
    }

    /** What every song sends takes part before the song's own; it is told as the song's. */
    @Test
    void whatEverySongSendsTakesPart() {
        Plan plan = Evening.plan();
        var always = new Cue(1, new Anchor.Automatic(When.PLAY), List.of(Sketch.stepOf("old-desk toggle:scene-5")));
        Plan toggling = plan.withBook(plan.book().withAlways(List.of(always)));
        assertThat(run(toggling).upsets())
                .allMatch(Upset::always)
                .extracting(Upset::song)
                .contains(EBB, new SongId("slow-boats"));
        assertThat(Report.of(toggling).findings()).extracting(Finding::code).contains("songs.wrong-way-round");
    }

    /** Without a show the songs run in the order of the book. */
    @Test
    void withoutAShowTheBookIsTheOrder() {
        Plan plan = new OrderEdit.RemoveShow(Evening.SHOW)
                .apply(Evening.sketch()
                        .cues("lanterns", "30|1 = guitar-sounds on:loop-4")
                        .plan());
        assertThat(run(plan).leftovers()).extracting(Leftover::into).containsExactly(Optional.of(EBB));
    }

    private static String words(Plan plan, Jump jump) {
        return new Wording(plan.rig()).say(jump.phrase());
    }
}
