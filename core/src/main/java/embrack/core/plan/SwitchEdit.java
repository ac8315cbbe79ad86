package embrack.core.plan;

import embrack.core.chart.Chart;
import embrack.core.midi.Channel;
import embrack.core.name.TapeLabel;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Changes to what switches do. */
public sealed interface SwitchEdit extends Edit {

    SwitchAt at();

    /** Puts tape beside a switch; without a name, takes it off. */
    record NameSwitch(SwitchAt at, String name) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            Optional<TapeLabel> label = name.isBlank() ? Optional.empty() : Optional.of(Typed.label("name", name));
            return change(plan, at, "name", a -> a.withLabel(label));
        }

        @Override
        public String summary(Plan before) {
            return name.isBlank() ? "Take the tape off " + before.words(at) : "Call %s %s".formatted(before.words(at), name.strip());
        }
    }

    /** Has a press do one more thing, after all that it does already. */
    record AddStep(SwitchAt at, Step step) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("step", plan, step.device());
            Chart chart = plan.rig().model(step.device()).chart();
            if (chart.messagesFor(step.action(), new Channel(Channel.FIRST)).isEmpty() && chart.lessonFor(step.action()).isEmpty()) {
                throw new Refused("step", "%s cannot do that; its chart has no line for it."
                        .formatted(plan.rig().name(step.device())));
            }
            return change(plan, at, "step", a -> a.withStep(step));
        }

        @Override
        public String summary(Plan before) {
            return "%s: add %s".formatted(before.words(at), before.words(step));
        }
    }

    /**
     * Takes one thing away from what a press does.
     *
     * @param index which, counted from 0
     * @param step what stood there when the person chose it
     */
    record RemoveStep(SwitchAt at, int index, Step step) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, at, "step", a -> {
                List<Step> fewer = stepsWith(a, index, step);
                fewer.remove(index);
                return a.withSteps(fewer);
            });
        }

        @Override
        public String summary(Plan before) {
            return "%s: remove %s".formatted(before.words(at), before.words(step));
        }
    }

    /** Has a press do one thing a place earlier; as {@link RemoveStep}, counted from 0. The first stays first. */
    record RaiseStep(SwitchAt at, int index, Step step) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, at, "step", a -> {
                List<Step> others = stepsWith(a, index, step);
                Collections.swap(others, index, Math.max(0, index - 1));
                return a.withSteps(others);
            });
        }

        @Override
        public String summary(Plan before) {
            return "%s: %s earlier".formatted(before.words(at), before.words(step));
        }
    }

    /** Takes all steps and the tape from a switch. */
    record ClearSwitch(SwitchAt at) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, at, "switch", a -> Assignment.blank(at));
        }

        @Override
        public String summary(Plan before) {
            return "Clear " + before.words(at);
        }
    }

    private static Plan change(Plan plan, SwitchAt at, String field, UnaryOperator<Assignment> change) {
        Typed.device(field, plan, at.board());
        Typed.accepted(field, () -> Plan.requireOnBoard(plan.rig(), at));
        return Typed.accepted(field, () -> plan.withSwitches(plan.switches().with(change.apply(plan.switches().at(at)))));
    }

    private static List<Step> stepsWith(Assignment assignment, int index, Step expected) {
        if (index < 0 || index >= assignment.steps().size() || !assignment.steps().get(index).equals(expected)) {
            throw new Refused("step", "This step was changed meanwhile. Look again and repeat.");
        }
        return new ArrayList<>(assignment.steps());
    }
}
