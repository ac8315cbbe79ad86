package embrack.core.sim;

import embrack.core.plan.Plan;
import embrack.core.switches.Step;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import embrack.core.world.Happened;
import embrack.core.world.Reading;
import java.util.List;

/** A proof in words. */
public record Story(List<String> intended, List<String> actual, List<String> path, List<String> failing) {

    /**
     * The words of a proof.
     *
     * <p>{@code intended}: the steps, in order. {@code actual}: what the boxes do when the messages of one press
     * arrive, in order of time. {@code path}: the ways that the messages take, each once. {@code failing}: what is done
     * in the shortest story in which the gesture fails.
     */
    public static Story of(Plan plan, Proof proof) {
        return new Story(
                proof.steps().stream().map(step -> plan.words(step.step())).toList(),
                proof.trace().stream()
                        .flatMap(event -> done(event).stream())
                        .map(plan::words)
                        .toList(),
                proof.steps().stream()
                        .flatMap(step -> step.way().stream())
                        .distinct()
                        .map(way -> way.words(plan.rig()))
                        .toList(),
                proof.broken().stream()
                        .flatMap(broken -> broken.doings().stream())
                        .map(doing -> new Wording(plan.rig(), plan.book(), Language.ENGLISH).say(doing.phrase(plan)))
                        .toList());
    }

    private static List<Step> done(Happened event) {
        return event instanceof Happened.Arrived arrived && arrived.reading() instanceof Reading.Acts acts
                ? acts.actions().stream()
                        .map(action -> new Step(arrived.socket().device(), action))
                        .toList()
                : List.of();
    }
}
