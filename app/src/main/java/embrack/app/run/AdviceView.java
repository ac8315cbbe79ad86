package embrack.app.run;

import embrack.core.music.Clock;
import embrack.core.plan.Plan;
import embrack.core.run.Act;
import embrack.core.run.Advice;
import embrack.core.run.Run;
import embrack.core.run.Telling;
import embrack.core.run.text.ActText;
import embrack.core.word.Wording;
import embrack.core.world.Event;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.List;

/**
 * What brings a run back.
 *
 * @param acts what to do, one after the other
 * @param takes how long that takes, "0:21"
 * @param left what is wrong still, and has to be done at the boxes
 */
record AdviceView(List<RunPage.Deed> acts, String takes, List<String> left) {

    static AdviceView of(Run run, Advice advice, Wording wording) {
        Plan plan = run.night().plan();
        List<String> left = new ArrayList<>();
        if (advice.isSilent()) {
            left.add("begin the song at its player");
        }
        advice.left().stream()
                .filter(place -> isAsked(run, place))
                .forEach(place -> left.add("%s: %s"
                        .formatted(
                                plan.rig().name(place.device()),
                                BoxView.meant(plan, place, run.ideal().value(place)))));
        return new AdviceView(
                advice.acts().stream().map(act -> deed(plan, act, wording)).toList(),
                Clock.brief(advice.micros()),
                left);
    }

    /** Of those of which one is chosen, the one that should be. */
    private static boolean isAsked(Run run, Place place) {
        return run.wrongs().stream().anyMatch(wrong -> wrong.place().equals(place));
    }

    /** Something that helps, as it is done and said. */
    static RunPage.Deed deed(Plan plan, Act act, Wording wording) {
        return switch (act) {
            case Act.ByHand hand
            when hand.what() instanceof Event.Press press ->
                new RunPage.Deed(
                        "tap " + press.at().key(),
                        "press %s on %s"
                                .formatted(
                                        RunPage.name(plan, press.at()),
                                        plan.rig().name(press.at().board())),
                        "");
            case Act.Repaired back ->
                new RunPage.Deed(ActText.write(act), wording.say(Telling.toRepair(back.event())), "");
            default -> throw new IllegalStateException("no advice: " + act);
        };
    }
}
