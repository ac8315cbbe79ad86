package embrack.core.edit;

import embrack.core.chart.PartId;
import embrack.core.gear.Kind;
import embrack.core.level.Curve;
import embrack.core.level.Law;
import embrack.core.level.Range;
import embrack.core.level.Scale;
import embrack.core.level.Takeover;
import embrack.core.midi.DataByte;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Practice;
import embrack.core.switches.Target;
import embrack.core.word.Phrase;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Changes to what a treadle, fader or knob moves. */
public sealed interface ControlEdit extends Edit {

    ControlAt at();

    /** Puts tape beside a control; without a name, takes it off. */
    record NameControl(ControlAt at, String name) implements ControlEdit {
        @Override
        public Plan apply(Plan plan) {
            Optional<TapeLabel> label = name.isBlank() ? Optional.empty() : Optional.of(Typed.label("name", name));
            return change(plan, at, "name", controlAssignment -> controlAssignment.withLabel(label));
        }

        @Override
        public Phrase summary(Plan before) {
            return name.isBlank()
                    ? Say.of("name-control.a").with("at", before.words(at))
                    : Say.of("name-control.b").with("at", before.words(at)).with("name", name.strip());
        }
    }

    /** Has a control move one more level. */
    record AddTarget(ControlAt at, Target target) implements ControlEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("target", plan, target.device());
            return AtReceiver.shaped(
                    at,
                    counted(plan),
                    change(
                            plan,
                            at,
                            "target",
                            controlAssignment -> (controlAssignment.targets().isEmpty()
                                                    && controlAssignment.label().isEmpty()
                                            ? controlAssignment.withTakeover(usual(plan))
                                            : controlAssignment)
                                    .withTarget(counted(plan))));
        }

        private static Takeover usual(Plan plan) {
            return switch (plan.practices().answer(Practice.FADERS)) {
                case 1 -> Takeover.JUMP;
                case 2 -> Takeover.CATCH;
                default -> Takeover.SCALED;
            };
        }

        /** Counted as the box shows it, and of pictures and light by parts of its way: opacity is no dB. */
        private Target counted(Plan plan) {
            Kind kind = plan.rig().model(target.device()).kind();
            boolean usual = target.law() == Law.DECIBELS && target.topDecibels() == 0;
            return plan.rig()
                    .chart(target.device())
                    .scale(target.part())
                    .map(scale -> target.countedBy(scale.law(), scale.law().isInDecibels() ? scale.top() : 0))
                    .or(() -> Optional.of(target.countedBy(Law.PERCENT, 0))
                            .filter(percent -> usual && (kind == Kind.PICTURES || kind == Kind.LIGHT_DESK)))
                    .orElse(target);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-target").with("at", before.words(at)).with("target", before.words(target));
        }
    }

    /** Has a control no longer move a level. */
    record RemoveTarget(ControlAt at, DeviceId device, PartId part) implements ControlEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(
                    plan,
                    at,
                    "target",
                    controlAssignment -> controlAssignment.withTargets(controlAssignment.targets().stream()
                            .filter(t -> !is(t, device, part))
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("remove-target").with("at", before.words(at));
        }
    }

    /** Says what a whole movement does to a level. All as typed; {@code cap} in dB, nothing for none. */
    record Shape(
            ControlAt at,
            DeviceId device,
            PartId part,
            String from,
            String to,
            Curve curve,
            Law law,
            String top,
            String cap)
            implements ControlEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("from", plan, device);
            Optional<Scale> scale = plan.rig().chart(device).scale(part);
            Range range = new Range(level("from", from, scale), level("to", to, scale), curve);
            int most = top.isBlank() ? 0 : Typed.number("top", top);
            Optional<Integer> highest = cap.isBlank() ? Optional.empty() : Optional.of(Typed.number("cap", cap));
            Target shaped = Refused.at("top", () -> new Target(device, part, range, law, most, highest));
            return AtReceiver.shaped(at, shaped, change(plan, at, "from", controlAssignment -> {
                if (controlAssignment.targets().stream().noneMatch(t -> is(t, device, part))) {
                    throw new Refused("from", Say.of("no.level-gone"));
                }
                return controlAssignment.withTargets(controlAssignment.targets().stream()
                        .map(t -> is(t, device, part) ? shaped : t)
                        .toList());
            }));
        }

        private static int level(String field, String typed, Optional<Scale> scale) {
            if (scale.isPresent()) {
                return Refused.at(field, () -> scale.get().value(typed));
            }
            int level = Typed.number(field, typed);
            return Refused.at(field, () -> DataByte.checked("a level", level));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("shape")
                    .with("at", before.words(at))
                    .with("part", before.rig().partName(device, part));
        }
    }

    /** Chooses what the receivers do when the control stands elsewhere than their value. */
    record ChooseTakeover(ControlAt at, Takeover takeover) implements ControlEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, at, "takeover", controlAssignment -> controlAssignment.withTakeover(takeover));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("choose-takeover").with("at", before.words(at)).with("takeover", takeover.words());
        }
    }

    /** Takes the tape and all levels from a control. */
    record ClearControl(ControlAt at) implements ControlEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, at, "target", controlAssignment -> ControlAssignment.blank(at));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("clear-control").with("at", before.words(at));
        }
    }

    private static boolean is(Target target, DeviceId device, PartId part) {
        return target.device().equals(device) && target.part().equals(part);
    }

    private static Plan change(Plan plan, ControlAt at, String field, UnaryOperator<ControlAssignment> change) {
        Typed.device(field, plan, at.box());
        Refused.at(field, () -> plan.controls(at));
        return Refused.at(
                field,
                () -> plan.withSwitches(plan.switches()
                                .with(change.apply(plan.switches().at(at))))
                        .settled());
    }
}
