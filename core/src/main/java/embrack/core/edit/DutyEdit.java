package embrack.core.edit;

import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.switches.Assignment;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Makes a blank switch the one for a duty, with its tape and all its steps. */
public record DutyEdit(SwitchAt at, Duty duty, String name, List<Step> steps) implements Edit {

    public DutyEdit {
        steps = List.copyOf(steps);
    }

    @Override
    public Plan apply(Plan plan) {
        Typed.device("duty", plan, at.board());
        Refused.at("duty", () -> Plan.requireOnBoard(plan.rig(), at));
        if (!plan.switches().at(at).steps().isEmpty()) {
            throw new Refused("duty", Say.of("no.not-blank").with("at", plan.words(at)));
        }
        var made = new Assignment(
                at,
                Optional.of(new TapeLabel(name)),
                Optional.empty(),
                Optional.of(duty),
                Optional.empty(),
                new TreeMap<>(Map.of(Moment.PRESS, steps)));
        return Refused.at(
                "duty", () -> plan.withSwitches(plan.switches().with(made)).settled());
    }

    @Override
    public Phrase summary(Plan before) {
        return Say.of("duty-edit").with("at", before.words(at)).with("duty", duty.words());
    }
}
