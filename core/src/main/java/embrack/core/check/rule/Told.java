package embrack.core.check.rule;

import embrack.core.plan.Plan;
import embrack.core.word.Fact;
import embrack.core.word.Language;
import embrack.core.word.Phrase;
import embrack.core.word.Wording;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * A finding in words.
 *
 * @param title the rule in a few words
 * @param where the boxes, switches and cues it is about
 * @param what what is the case
 * @param why what comes of it
 * @param fix what to do
 * @param button what a button says that does it, beginning with a verb; empty when no edit mends it
 */
public record Told(String title, String where, String what, String why, String fix, Optional<String> button) {

    /** Where a remedy's name stands among the facts, so that advice may go by what is offered. */
    private static final String REMEDY = "remedy";

    /** A finding of a plan in a language. */
    public static Told of(Finding finding, Plan plan, Language language) {
        return new Teller(finding, new Wording(plan.rig(), plan.book(), language)).tell();
    }

    /** A finding of a plan in English. */
    public static Told of(Finding finding, Plan plan) {
        return of(finding, plan, Language.ENGLISH);
    }

    private record Teller(Finding finding, Wording wording) {

        private Told tell() {
            return new Told(
                    say("title"),
                    say("where"),
                    say("what"),
                    say("why"),
                    say("fix"),
                    finding.remedy().map(remedy -> say("do." + remedy.name())));
        }

        private String say(String what) {
            String room = finding.rule().topic().room();
            String own = finding.rule().name() + "." + what;
            return wording.knows(room, own)
                    ? wording.say(new Phrase(room, own, facts()))
                    : wording.say(new Phrase(wording.knows(room, what) ? room : "core/check/rule", what, facts()));
        }

        private Map<String, Fact> facts() {
            Map<String, Fact> facts = new LinkedHashMap<>(finding.facts());
            finding.remedy().ifPresent(remedy -> facts.putAll(remedy.facts()));
            facts.put(REMEDY, Fact.word(finding.remedy().map(Remedy::name).orElse("none")));
            return facts;
        }
    }
}
