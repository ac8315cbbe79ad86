package embrack.app.run;

import embrack.core.chart.Aspect;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.run.Act;
import embrack.core.run.Fault;
import embrack.core.run.Night;
import embrack.core.run.text.ActText;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import embrack.core.world.Place;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * What people do in a run, as pages say it: an act in words, {@code tap quay-board.1.3} for a press that is let go, or
 * how it goes on: {@code go}, {@code pause}, {@code speed sixty}, {@code step}, {@code step-back}; {@code draw} lets
 * something likely go wrong.
 */
@Component
class RunActs {

    /** The longest, in characters. */
    private static final int MOST = 1_000;

    private final RandomGenerator seeds = new SplittableRandom();
    private final LiveRuns runs;

    RunActs(LiveRuns runs) {
        this.runs = runs;
    }

    /** Does it; whether it was anything that can be done in that run. */
    boolean done(LiveRun run, String who, String words) {
        if (words.length() > MOST) {
            return false;
        }
        String[] word = words.strip().split(" ", 2);
        switch (word[0]) {
            case "go" -> runs.go(run, run.pace().going(true));
            case "pause" -> runs.go(run, run.pace().going(false));
            case "step" -> runs.step(run);
            case "step-back" -> {
                if (run.isReplay()) {
                    return false;
                }
                runs.back(run, who);
            }
            case "speed" -> {
                Optional<Pace.Speed> speed = Stream.of(Pace.Speed.values())
                        .filter(one -> word.length > 1 && one.key().equals(word[1].toLowerCase(Locale.ROOT)))
                        .findFirst();
                speed.ifPresent(one -> runs.go(run, run.pace().at(one)));
                return speed.isPresent();
            }
            case "tap" -> {
                Optional<SwitchAt> at =
                        Optional.of(word).filter(w -> w.length > 1).flatMap(w -> SwitchAt.parse(w[1]));
                return at.isPresent()
                        && act(run, who, Optional.of(new Act.ByHand(new Event.Press(at.get()))))
                        && act(run, who, Optional.of(new Act.ByHand(new Event.Release(at.get()))));
            }
            case "draw" -> {
                return act(run, who, run.drawn(seeds.nextLong()).map(Act.Struck::new));
            }
            default -> {
                return act(run, who, ActText.read(run.run().night().plan().rig(), words.strip()));
            }
        }
        return true;
    }

    private boolean act(LiveRun run, String who, Optional<Act> act) {
        if (act.isEmpty() || !isThere(run, act.get())) {
            return false;
        }
        if (run.isReplay() && !(act.get() instanceof Act.Feet)) {
            return false;
        }
        if (run.isReplay()) {
            runs.goOnAlone(run);
        }
        runs.act(run, who, act.get());
        return true;
    }

    /** Whether what it speaks of is there: a switch on its board, a bank, a value that a part can have. */
    private static boolean isThere(LiveRun run, Act act) {
        Night night = run.run().night();
        Plan plan = night.plan();
        return switch (act) {
            case Act.From from ->
                from.part() >= 0 && from.part() < night.parts().size() && from.bar() >= 0;
            case Act.Struck struck ->
                switch (struck.fault()) {
                    case Fault.Astray astray -> isValue(astray.place(), astray.value());
                    case Fault.Misstep step ->
                        isOnBoard(plan, step.at().board(), step.at().bank());
                    default -> true;
                };
            case Act.ByHand hand ->
                switch (hand.what()) {
                    case Event.ByFoot foot ->
                        isOnBoard(plan, foot.at().board(), foot.at().bank());
                    case Event.TurnTo turn -> isOnBoard(plan, turn.box(), turn.bank());
                    case Event.Move move ->
                        isOnBoard(plan, move.at().box(), move.at().bank()) && isValue(Aspect.LEVEL, move.position());
                    case Event.Set set -> isValue(set.place(), set.value());
                };
            default -> true;
        };
    }

    private static boolean isOnBoard(Plan plan, DeviceId board, int bank) {
        return plan.controllers().contains(board) && bank >= 1 && bank <= plan.banks(board);
    }

    private static boolean isValue(Place place, int value) {
        return isValue(place.aspect(), value);
    }

    private static boolean isValue(Aspect aspect, int value) {
        return value >= 0 && value < aspect.size();
    }
}
