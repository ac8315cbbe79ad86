package embrack.app.run;

import embrack.core.run.Act;
import embrack.core.run.text.ActText;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * What people do in a run, as pages say it: an act in words, {@code tap quay-board.1.3} for a press that is let go, or
 * how it goes on: {@code go}, {@code pause}, {@code speed sixty}, {@code step}, {@code step-back}.
 */
@Component
class RunActs {

    private final LiveRuns runs;

    RunActs(LiveRuns runs) {
        this.runs = runs;
    }

    /** Does it; whether it was anything that can be done in that run. */
    boolean done(LiveRun run, String who, String words) {
        String[] word = words.strip().split(" ", 2);
        switch (word[0]) {
            case "go" -> runs.go(run, run.pace().going(true));
            case "pause" -> runs.go(run, run.pace().going(false));
            case "step" -> runs.step(run);
            case "step-back" -> runs.back(run, who);
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
        runs.act(run, who, act.get());
        return true;
    }

    /** Whether a switch is on its board. */
    private static boolean isThere(LiveRun run, Act act) {
        return !(act instanceof Act.ByHand hand)
                || !(hand.what() instanceof Event.ByFoot foot)
                || run.run().night().plan().controllers().contains(foot.at().board())
                        && foot.at().bank()
                                <= run.run().night().plan().banks(foot.at().board());
    }
}
