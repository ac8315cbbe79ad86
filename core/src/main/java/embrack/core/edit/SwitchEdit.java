package embrack.core.edit;

import embrack.core.chart.LearnableId;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.Channel;
import embrack.core.name.TapeLabel;
import embrack.core.offer.Offers;
import embrack.core.plan.Plan;
import embrack.core.switches.Assignment;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Changes to what one switch does. */
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
        public Phrase summary(Plan before) {
            return name.isBlank()
                    ? Say.of("name-switch.a").with("at", before.words(at))
                    : Say.of("name-switch.b").with("at", before.words(at)).with("name", name.strip());
        }
    }

    /** Says what the box's own display shows for a switch; without a text, what Embrack makes of the tape. */
    record ShortenName(SwitchAt at, String text) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            Optional<TapeLabel> label = text.isBlank() ? Optional.empty() : Optional.of(Typed.label("text", text));
            Typed.device("text", plan, at.board());
            int room = plan.board(at).labelCharacters();
            label.filter(l -> l.text().length() > room).ifPresent(l -> {
                throw new Refused(
                        "text",
                        room == 0
                                ? Say.of("no.shows-no-names")
                                        .with("board", plan.rig().name(at.board()))
                                : Say.of("no.name-too-long")
                                        .with("board", plan.rig().name(at.board()))
                                        .with("room", room)
                                        .with("label", l)
                                        .with("length", l.text().length()));
            });
            return change(plan, at, "text", a -> a.withShortLabel(label));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("shorten-name")
                    .with("text", text.isBlank() ? Fact.word("the tape") : text.strip())
                    .with("at", before.words(at));
        }
    }

    /** Says what a switch is for in the show as a whole; nothing when {@code duty} is empty. */
    record GiveDuty(SwitchAt at, Optional<Duty> duty) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, at, "duty", a -> a.withDuty(duty));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("give-duty")
                    .with("at", before.words(at))
                    .with("duty", Fact.word(duty.map(Duty::words).orElse("no special job")));
        }
    }

    /** Chooses what a switch does down and up; empty for the plainest that serves. */
    record ChooseMode(SwitchAt at, Optional<SwitchMode> mode) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, at, "mode", a -> a.withMode(mode));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("choose-mode")
                    .with("at", before.words(at))
                    .with("mode", Fact.word(mode.map(SwitchMode::words).orElse("what fits")));
        }
    }

    /** Has a switch do more at a moment, after all that it does then already. */
    record AddSteps(SwitchAt at, Moment moment, List<Step> steps) implements SwitchEdit {

        public AddSteps {
            steps = List.copyOf(steps);
        }

        @Override
        public Plan apply(Plan plan) {
            for (Step step : steps) {
                Typed.device("step", plan, step.device());
                var chart = plan.rig().chart(step.device());
                boolean learns = chart.learnables().stream()
                        .anyMatch(learnable -> learnable.id().equals(LearnableId.of(step.action())));
                if (chart.messagesFor(step.action(), new Channel(Channel.FIRST)).isEmpty() && !learns) {
                    throw new Refused(
                            "step",
                            Say.of("no.no-chart-line").with("device", plan.rig().name(step.device())));
                }
            }
            return change(plan, at, "step", a -> {
                List<Step> all = new ArrayList<>(a.steps(moment));
                all.addAll(steps);
                return a.withSteps(moment, all);
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-steps")
                    .with("at", before.words(at))
                    .with(
                            "steps",
                            String.join(", ", steps.stream().map(before::words).toList()));
        }
    }

    /** Has a switch do other things at a moment than it does. */
    record DoInstead(SwitchAt at, Moment moment, List<Step> steps) implements SwitchEdit {

        public DoInstead {
            steps = List.copyOf(steps);
        }

        @Override
        public Plan apply(Plan plan) {
            Plan without = change(plan, at, "step", a -> a.withSteps(moment, List.of()));
            return new AddSteps(at, moment, steps).apply(without);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("do-instead")
                    .with("at", before.words(at))
                    .with("steps", steps.stream().map(before::words).toList());
        }
    }

    /** Has a switch do everything that a search finds, after all that it does already. */
    record AddFound(SwitchAt at, Moment moment, String find) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("step", plan, at.board());
            Refused.at("step", () -> Plan.requireOnBoard(plan.rig(), at));
            List<Step> found = new Offers(plan)
                    .find(at, find).stream()
                            .flatMap(offer -> offer.steps().stream())
                            .distinct()
                            .toList();
            if (found.isEmpty()) {
                throw new Refused("step", Say.of("no.nothing-found"));
            }
            return new AddSteps(at, moment, found).apply(plan);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-found").with("at", before.words(at)).with("find", find.strip());
        }
    }

    /** Has a press do one more thing, after all that it does already. */
    record AddStep(SwitchAt at, Step step) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            return new AddSteps(at, Moment.PRESS, List.of(step)).apply(plan);
        }

        @Override
        public Phrase summary(Plan before) {
            return new AddSteps(at, Moment.PRESS, List.of(step)).summary(before);
        }
    }

    /**
     * Takes one thing away from what a switch does.
     *
     * @param index which, counted from 0
     * @param step what stood there when the person chose it
     */
    record RemoveStep(SwitchAt at, Moment moment, int index, Step step) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, at, "step", a -> {
                List<Step> fewer = stepsWith(a, moment, index, step);
                fewer.remove(index);
                return a.withSteps(moment, fewer);
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("remove-step").with("at", before.words(at)).with("step", before.words(step));
        }
    }

    /** Has a switch do one thing a place earlier; as {@link RemoveStep}, counted from 0. The first stays first. */
    record RaiseStep(SwitchAt at, Moment moment, int index, Step step) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, at, "step", a -> {
                List<Step> others = stepsWith(a, moment, index, step);
                Collections.swap(others, index, Math.max(0, index - 1));
                return a.withSteps(moment, others);
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("raise-step").with("at", before.words(at)).with("step", before.words(step));
        }
    }

    /** Has a switch wait before one thing; {@code millis} as typed, nothing for no wait. */
    record WaitBefore(SwitchAt at, Moment moment, int index, Step step, String millis) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            int wait = millis.isBlank() ? 0 : Typed.number("millis", millis);
            Step waiting = Refused.at("millis", () -> step.withWait(wait));
            return change(plan, at, "millis", a -> {
                List<Step> others = stepsWith(a, moment, index, step);
                others.set(index, waiting);
                return a.withSteps(moment, others);
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("wait-before").with("at", before.words(at)).with("step", before.words(step));
        }
    }

    /** Gives the steps of a moment, from one of them on, counted from 0, to the press of a switch that is blank. */
    record SpreadSteps(SwitchAt at, Moment moment, int index, SwitchAt to) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            List<Step> all = plan.switches().at(at).steps(moment);
            if (index < 0 || index >= all.size() || !plan.switches().at(to).isBlank()) {
                throw new Refused("step", Say.of("no.changed-meanwhile"));
            }
            Plan less = change(plan, at, "step", a -> a.withSteps(moment, all.subList(0, index)));
            return change(less, to, "step", a -> a.withSteps(Moment.PRESS, all.subList(index, all.size())));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("spread-steps").with("at", before.words(at)).with("to", before.words(to));
        }
    }

    /** Takes all steps and the tape from a switch. */
    record ClearSwitch(SwitchAt at) implements SwitchEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, at, "switch", a -> Assignment.blank(at));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("clear-switch").with("at", before.words(at));
        }
    }

    private static Plan change(Plan plan, SwitchAt at, String field, UnaryOperator<Assignment> change) {
        Typed.device(field, plan, at.board());
        Refused.at(field, () -> Plan.requireOnBoard(plan.rig(), at));
        return Refused.at(
                field,
                () -> plan.withSwitches(plan.switches()
                                .with(change.apply(plan.switches().at(at))))
                        .settled());
    }

    private static List<Step> stepsWith(Assignment assignment, Moment moment, int index, Step expected) {
        List<Step> steps = assignment.steps(moment);
        if (index < 0 || index >= steps.size() || !steps.get(index).equals(expected)) {
            throw new Refused("step", Say.of("no.step-changed"));
        }
        return new ArrayList<>(steps);
    }
}
