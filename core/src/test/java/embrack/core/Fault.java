package embrack.core;

import embrack.core.check.rule.Severity;
import embrack.core.plan.Plan;

/** A rig with one mistake: that is found, and nothing else, in {@code faulty}; nothing at all in {@code mended}. */
public record Fault(String name, String code, Severity severity, String where, String what, Plan faulty, Plan mended) {

    @Override
    public String toString() {
        return name;
    }
}
