package embrack.app.send;

import embrack.app.frame.Mark;
import embrack.app.frame.Spoken;
import embrack.core.check.rule.Severity;
import embrack.core.plan.Plan;
import embrack.core.send.Asking;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.Optional;

/**
 * What boxes did when they were sent something, in a few words.
 *
 * @param mark empty while there is nothing to say for or against
 * @param amiss what was not done
 */
record SeenView(Optional<Mark> mark, String words, List<String> amiss) {

    private static final String ROOM = "app/send";

    static SeenView of(Plan plan, Asking asking) {
        List<String> amiss = asking.amiss().stream()
                .map(probe -> "%s: %s".formatted(plan.rig().name(probe.device()), SendPage.words(plan, probe)))
                .toList();
        int count = asking.probes().all().size();
        int done = (int) asking.probes().all().stream()
                .filter(probe -> !asking.result(probe).isToDo())
                .count();
        String key = !amiss.isEmpty() ? "amiss" : done == 0 ? "nothing" : done == count ? "right" : "so-far";
        return new SeenView(
                !amiss.isEmpty()
                        ? Optional.of(Mark.of(Severity.STOPS))
                        : done > 0 && done == count
                                ? Optional.of(new Mark("tick", "exact", say(Phrase.of(ROOM, "does-it"))))
                                : Optional.empty(),
                say(Phrase.of(ROOM, "seen." + key)
                        .with("amiss", amiss.size())
                        .with("done", done)
                        .with("count", count)),
                amiss);
    }

    private static String say(Phrase phrase) {
        return Spoken.words().say(phrase);
    }
}
