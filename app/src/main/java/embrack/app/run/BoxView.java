package embrack.app.run;

import embrack.app.frame.Mark;
import embrack.app.frame.StageView;
import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Verb;
import embrack.core.check.rule.Severity;
import embrack.core.light.Look;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.run.Doing;
import embrack.core.run.Loop;
import embrack.core.run.Run;
import embrack.core.run.Telling;
import embrack.core.run.Wrong;
import embrack.core.show.Section;
import embrack.core.switches.Step;
import embrack.core.word.Wording;
import embrack.core.world.Place;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * What a box does by now.
 *
 * @param state what is the matter with the whole of it: that it is off, or starts
 * @param facts how its parts stand
 * @param stage the stage in the light of the look that it shows
 */
record BoxView(String id, String name, Optional<Mark> state, List<Fact> facts, Optional<StageView> stage) {

    /**
     * How a part stands: "Return 1", "muted".
     *
     * @param wrong what is wrong with it
     * @param round of what goes round: when it began, and how long a round is, microseconds of the run; else empty
     */
    record Fact(String part, String value, boolean isOn, Optional<Mark> wrong, String because, String round) {}

    /** How a part stands that plays. */
    private static final int PLAYING = 1;

    static List<BoxView> all(Run run, Wording wording, Telling telling) {
        return Doing.of(run).stream()
                .map(doing -> of(run, doing, wording, telling))
                .toList();
    }

    private static BoxView of(Run run, Doing doing, Wording wording, Telling telling) {
        Plan plan = run.night().plan();
        DeviceId box = doing.box();
        Optional<Mark> state = doing.isDark()
                ? Optional.of(Mark.of(Severity.STOPS, "off"))
                : doing.isStarting() ? Optional.of(Mark.of(Severity.LOOK, "starts")) : Optional.empty();
        return new BoxView(
                box.text(),
                plan.rig().name(box).text(),
                state,
                doing.isDark()
                        ? List.of()
                        : Stream.concat(
                                        where(run, box).stream(),
                                        doing.parts().stream()
                                                .filter(part -> isShown(part))
                                                .map(part -> fact(run, part, wording, telling)))
                                .toList(),
                doing.isDark() ? Optional.empty() : stage(plan, doing));
    }

    /** What was counted says nothing of how it is now; what is off is the usual. */
    private static boolean isShown(Doing.Stands part) {
        Aspect aspect = part.place().aspect();
        boolean isOff = (aspect == Aspect.SWITCHED || aspect == Aspect.CHOSEN) && part.value() == 0;
        return part.wrong().isPresent() || !aspect.isCount() && !isOff;
    }

    /** Where the song is, at the box that plays it: "Vamp, round 2". */
    private static Optional<Fact> where(Run run, DeviceId box) {
        if (run.section().isEmpty() || run.playing().filter(box::equals).isEmpty()) {
            return Optional.empty();
        }
        Section section =
                run.song().orElseThrow().form().sections().get(run.section().getAsInt());
        boolean isRound = section.vamp() || run.pass() > 1;
        return Optional.of(new Fact(
                "", section.name() + (isRound ? ", round " + run.pass() : ""), true, Optional.empty(), "", ""));
    }

    private static Fact fact(Run run, Doing.Stands part, Wording wording, Telling telling) {
        Plan plan = run.night().plan();
        Place place = part.place();
        Optional<Wrong> wrong = part.wrong();
        boolean isChoice = place.aspect() == Aspect.CHOSEN;
        return new Fact(
                isChoice
                        ? ""
                        : plan.rig().partName(place.device(), place.part()).text(),
                isChoice
                        ? part.value() == 0 ? "nothing chosen" : chosen(plan, place)
                        : place.word(plan.rig(), part.value())
                                + run.loop(place).map(loop -> round(run, loop)).orElse(""),
                place.aspect() != Aspect.MUTED && part.value() != 0
                        || place.aspect() == Aspect.MUTED && part.value() == 0,
                wrong.map(w -> Mark.of(Severity.LOOK, "should be " + meantHere(plan, w))),
                wrong.flatMap(telling::because).map(wording::say).orElse(""),
                run.loop(place)
                        .filter(loop -> part.value() == PLAYING && !loop.isOpen())
                        .map(loop -> loop.since() + " " + loop.lengthMicros())
                        .orElse(""));
    }

    /** How long a loop is: ", 7.62 s, 4.00 bars"; the bars tell whether it runs away from the song. */
    private static String round(Run run, Loop loop) {
        OptionalDouble bars = run.bars(loop);
        return loop.isOpen()
                ? ""
                : String.format(Locale.ROOT, ", a round of %.2f s", loop.lengthMicros() / 1e6)
                        + (bars.isPresent() ? String.format(Locale.ROOT, " or %.2f bars", bars.getAsDouble()) : "");
    }

    private static String meantHere(Plan plan, Wrong wrong) {
        return wrong.place().aspect() == Aspect.CHOSEN
                ? meant(plan, wrong.place(), wrong.meant())
                : wrong.place().word(plan.rig(), wrong.meant());
    }

    /** How a place should stand, in words: "Refrain warm", "muted". */
    static String meant(Plan plan, Place place, int value) {
        return place.aspect() == Aspect.CHOSEN && value != 0
                ? chosen(plan, place)
                : place.aspect() == Aspect.CHOSEN
                        ? place.word(plan.rig(), value)
                        : "%s %s"
                                .formatted(
                                        plan.rig().partName(place.device(), place.part()),
                                        place.word(plan.rig(), value));
    }

    /** What is chosen, by the title or look that it is where it has one. */
    private static String chosen(Plan plan, Place place) {
        return plan.brief(new Step(place.device(), new Action(Verb.RECALL, place.part())));
    }

    private static Optional<StageView> stage(Plan plan, Doing doing) {
        Optional<Look> look = doing.parts().stream()
                .filter(part -> part.place().aspect() == Aspect.CHOSEN && part.value() != 0)
                .flatMap(part ->
                        plan
                                .lookOf(new Step(
                                        doing.box(),
                                        new Action(Verb.RECALL, part.place().part())))
                                .stream())
                .findFirst();
        return look.map(shown -> StageView.of(plan.lights(), Optional.of(shown)));
    }
}
