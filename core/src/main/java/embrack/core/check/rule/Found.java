package embrack.core.check.rule;

import embrack.core.edit.Edit;
import embrack.core.show.CueAt;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A finding in the making: facts by the names that its patterns have for them. */
public final class Found {

    private final RuleInfo rule;
    private final Severity severity;
    private final Map<String, Fact> facts = new LinkedHashMap<>();
    private List<SwitchAt> switches = List.of();
    private List<CueAt> cues = List.of();
    private Optional<Remedy> remedy = Optional.empty();

    Found(RuleInfo rule, Severity severity) {
        this.rule = rule;
        this.severity = severity;
    }

    /** What it is about, as {@link Fact#of(Object)} takes it. */
    public Found with(String name, Object value) {
        facts.put(name, Fact.of(value));
        return this;
    }

    /** Which of the ways it can come about this is. */
    public Found cause(String word) {
        return word("cause", word);
    }

    /** A word by which patterns choose. */
    public Found word(String name, String word) {
        facts.put(name, Fact.word(word));
        return this;
    }

    /** The switches that it explains, which are its fact "switches" too. */
    public Found about(List<SwitchAt> explained) {
        switches = explained;
        return with("switches", new Fact.Switches(explained));
    }

    /** The switch that it explains. */
    public Found about(SwitchAt explained) {
        return about(List.of(explained));
    }

    /** The cues that it explains, or the songs. */
    public Found in(List<CueAt> explained) {
        cues = explained;
        return this;
    }

    /** An edit that mends it; what its button says has the key {@code NAME.do.remedy}. */
    public Found mend(String name, Edit edit) {
        return mend(Optional.of(new Remedy(name, edit)));
    }

    /** What mends it, where there is something. */
    public Found mend(Optional<Remedy> found) {
        remedy = found;
        return this;
    }

    public Finding made() {
        return new Finding(rule, severity, facts, switches, cues, remedy);
    }
}
