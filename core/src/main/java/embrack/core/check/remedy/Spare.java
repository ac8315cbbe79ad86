package embrack.core.check.remedy;

import embrack.core.plan.Plan;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;

/** A blank switch that something can be given to. */
public final class Spare {

    private Spare() {}

    /** A switch as it is said from another: its number, with the bank if that is another one. */
    public static Phrase phrase(Plan plan, SwitchAt at, SwitchAt from) {
        return Phrase.of("core/check/switches", "spare")
                .with("elsewhere", Fact.word(at.bank() == from.bank() ? "no" : "yes"))
                .with("bank", plan.bankName(at))
                .with("switch", at.words());
    }
}
