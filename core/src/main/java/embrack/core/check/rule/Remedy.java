package embrack.core.check.rule;

import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.word.Fact;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * An edit that may mend a finding.
 *
 * @param name what it does, as a key: "set-channel"; patterns choose by it as the fact "remedy"
 * @param facts what the words of its button need beside the facts of the finding
 */
public record Remedy(String name, Map<String, Fact> facts, Edit edit) {

    public Remedy {
        facts = Map.copyOf(facts);
    }

    /** A remedy whose words need nothing more than the finding's. */
    public Remedy(String name, Edit edit) {
        this(name, Map.of(), edit);
    }

    /** Whether other hardware is to do a job: the last that anybody wants to hear. */
    public boolean isOtherHardware() {
        return edit instanceof GearEdit.SwapHardware;
    }

    /** The remedy with one more fact, as {@link Fact#of(Object)} takes it. */
    public Remedy with(String fact, Object value) {
        Map<String, Fact> more = new LinkedHashMap<>(facts);
        more.put(fact, Fact.of(value));
        return new Remedy(name, more, edit);
    }
}
