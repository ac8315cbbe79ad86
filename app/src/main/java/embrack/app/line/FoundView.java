package embrack.app.line;

import embrack.app.frame.Mark;
import embrack.app.frame.Spoken;
import embrack.core.check.rule.Severity;
import embrack.core.line.Inspection;
import embrack.core.line.Inspection.Result;
import embrack.core.line.Task;
import embrack.core.line.Telling;
import embrack.core.line.Travel;
import embrack.core.line.Travels;
import embrack.core.plan.Plan;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a line check has found so far, in a few words.
 *
 * @param mark empty while there is nothing to say for or against
 * @param amiss what is not as planned
 */
record FoundView(Optional<Mark> mark, String words, List<String> amiss) {

    private static final String ROOM = "app/line";

    static FoundView of(Plan plan, LineChecks.Standing standing) {
        Inspection found = standing.check().inspection();
        List<Task> amiss = found.amiss();
        List<Travel> travels = standing.travels().amiss();
        boolean grave = amiss.stream()
                .anyMatch(task -> ((Result.Wrong) found.of(task)).amiss().isGrave());
        String key = !amiss.isEmpty()
                ? "found.amiss"
                : found.done() == 0 ? "found.nothing" : found.isAllRight() ? "found.right" : "found.so-far";
        return new FoundView(
                amiss.isEmpty() && !travels.isEmpty()
                        ? Optional.of(Mark.of(Severity.LOOK))
                        : amiss.isEmpty()
                                ? found.isAllRight() && found.count() > 0
                                        ? Optional.of(new Mark("tick", "exact", say(Phrase.of(ROOM, "right"))))
                                        : Optional.empty()
                                : Optional.of(Mark.of(grave ? Severity.STOPS : Severity.LOOK)),
                say(Phrase.of(ROOM, key)
                        .with("amiss", amiss.size())
                        .with("done", found.done())
                        .with("count", found.count())),
                Stream.concat(
                                amiss.stream().map(task -> line(plan, found, task)),
                                travels.stream().map(travel -> line(plan, standing.travels(), travel)))
                        .toList());
    }

    private static String line(Plan plan, Inspection found, Task task) {
        Telling telling = new Telling(plan, found.walk().planned(task));
        return "%s, %s: %s"
                .formatted(
                        plan.rig().name(task.box()),
                        Telling.name(plan, task),
                        Spoken.of(plan).say(telling.brief(((Result.Wrong) found.of(task)).amiss())));
    }

    private static String line(Plan plan, Travels travels, Travel travel) {
        return "%s: %s"
                .formatted(
                        plan.words(travel.at()),
                        Spoken.of(plan)
                                .say(Travels.words(travel, ((Travels.Result.Wrong) travels.result(travel)).amiss())));
    }

    private static String say(Phrase phrase) {
        return Spoken.words().say(phrase);
    }
}
