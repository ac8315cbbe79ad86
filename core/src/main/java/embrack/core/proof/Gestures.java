package embrack.core.proof;

import embrack.core.compile.CompiledSwitch;
import embrack.core.gear.SwitchMode;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.world.Journey;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The transitions of a switch: one for each thing that a foot can do with it and each side that it may be at. */
final class Gestures {

    private final Effects effects;
    private final Variables variables;

    Gestures(Effects effects, Variables variables) {
        this.effects = effects;
        this.variables = variables;
    }

    List<Transition> of(Assignment assignment, Sent.BySwitch sent) {
        CompiledSwitch compiled = sent.compiled();
        List<Transition> made = new ArrayList<>();
        boolean alternates = compiled.mode() == SwitchMode.ALTERNATING;
        boolean releases = !assignment.steps(Moment.RELEASE).isEmpty()
                || !compiled.sendings(Moment.RELEASE).isEmpty();
        boolean isPressed = Stream.of(Moment.PRESS, Moment.AGAIN, Moment.RELEASE)
                .anyMatch(moment -> !assignment.steps(moment).isEmpty());
        int side = variables.number(new Variable.Side(assignment.at()));
        int down = variables.number(new Variable.Down(assignment.at()));
        List<Transition.Guard> up = releases ? List.of(new Transition.Guard(down, 0)) : List.<Transition.Guard>of();
        List<Effect> goesDown = releases ? List.of(new Effect.Write(down, 1)) : List.of();
        for (int turned = 0; turned <= (alternates ? 1 : 0); turned++) {
            Moment moment = turned == 0 ? Moment.PRESS : Moment.AGAIN;
            List<Effect> sides = alternates ? List.of(new Effect.Write(side, 1 - turned)) : List.of();
            List<Transition.Guard> guards = alternates ? with(up, new Transition.Guard(side, turned)) : up;
            Journey journey = sent.journey(moment);
            if (isPressed) {
                List<Step> own = assignment.steps(moment);
                List<Step> steps = own.isEmpty() ? assignment.steps(Moment.PRESS) : own;
                made.add(transition(
                        assignment, moment, guards, Stream.of(effects.arriving(journey), sides, goesDown), steps));
            }
            if (!assignment.steps(Moment.HOLD).isEmpty() && (turned == 0 || compiled.pressAlsoWhenHeld())) {
                List<Effect> held = effects.arriving(sent.journey(Moment.HOLD));
                made.add(
                        compiled.pressAlsoWhenHeld()
                                ? transition(
                                        assignment,
                                        Moment.HOLD,
                                        guards,
                                        Stream.of(
                                                effects.arriving(journey),
                                                effects.rested(journey),
                                                held,
                                                sides,
                                                goesDown),
                                        assignment.steps(Moment.HOLD))
                                : transition(
                                        assignment, Moment.HOLD, up, Stream.of(held), assignment.steps(Moment.HOLD)));
            }
        }
        if (!assignment.steps(Moment.DOUBLE_PRESS).isEmpty()) {
            made.add(transition(
                    assignment,
                    Moment.DOUBLE_PRESS,
                    up,
                    Stream.of(effects.arriving(sent.journey(Moment.DOUBLE_PRESS))),
                    assignment.steps(Moment.DOUBLE_PRESS)));
        }
        if (releases && (isPressed || compiled.pressAlsoWhenHeld())) {
            made.add(transition(
                    assignment,
                    Moment.RELEASE,
                    List.of(new Transition.Guard(down, 1)),
                    Stream.of(effects.arriving(sent.journey(Moment.RELEASE)), List.of(new Effect.Write(down, 0))),
                    assignment.steps(Moment.RELEASE)));
        }
        return made;
    }

    private Transition transition(
            Assignment assignment,
            Moment moment,
            List<Transition.Guard> guards,
            Stream<List<Effect>> actual,
            List<Step> steps) {
        return new Transition(
                new Doing.Foot(assignment.at(), moment),
                guards,
                actual.flatMap(List::stream).toList(),
                effects.meant(steps),
                effects.needs(steps));
    }

    private static List<Transition.Guard> with(List<Transition.Guard> guards, Transition.Guard one) {
        return Stream.concat(guards.stream(), Stream.of(one)).toList();
    }
}
