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

    /** Where the words lie that all rules share. */
    private static final String SHARED = "core/check/rule";

    /** Where a remedy's name stands among the facts, so that advice may go by what is offered. */
    private static final String REMEDY = "remedy";

    /** A finding of a plan in a language, and what was found to mend it. */
    public static Told of(Finding finding, Optional<Remedy> remedy, Plan plan, Language language) {
        return new Teller(finding, remedy, new Wording(plan.rig(), plan.book(), plan.switches(), language)).tell();
    }

    /** A finding of a plan in a language, before anybody has looked for what mends it. */
    public static Told of(Finding finding, Plan plan, Language language) {
        return of(finding, Optional.empty(), plan, language);
    }

    /** A finding of a plan in English, before anybody has looked for what mends it. */
    public static Told of(Finding finding, Plan plan) {
        return of(finding, plan, Language.ENGLISH);
    }

    /** With what its button does as well, as another one's button says it. */
    public Told then(Told next, Language language) {
        String both = Wording.without(language)
                .say(new Phrase(
                        SHARED,
                        "in-turn",
                        Map.of(
                                "first", Fact.of(button.orElseThrow()),
                                "second", Fact.of(next.button().orElseThrow()))));
        return new Told(title, where, what, why, fix, Optional.of(both));
    }

    private record Teller(Finding finding, Optional<Remedy> remedy, Wording wording) {

        private Told tell() {
            return new Told(
                    say("title"),
                    say("where"),
                    say("what"),
                    say("why"),
                    say("fix"),
                    remedy.map(found -> say("do." + found.name())));
        }

        private String say(String what) {
            String room = finding.rule().topic().room();
            String own = finding.rule().name() + "." + what;
            return wording.knows(room, own)
                    ? wording.say(new Phrase(room, own, facts()))
                    : wording.say(new Phrase(wording.knows(room, what) ? room : SHARED, what, facts()));
        }

        private Map<String, Fact> facts() {
            Map<String, Fact> facts = new LinkedHashMap<>(finding.facts());
            remedy.ifPresent(found -> facts.putAll(found.facts()));
            facts.put(REMEDY, Fact.word(remedy.map(Remedy::name).orElse("none")));
            return facts;
        }
    }
}
