package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.show.Running;
import embrack.core.show.Running.Part;
import embrack.core.show.Transition;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A part fades for longer than it, or what it fades into, lasts. */
final class FadeTooLong implements Rule {

    private static final Set<Transition.Way> FADES = EnumSet.of(Transition.Way.FADE, Transition.Way.CROSSFADE);

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "fade-too-long");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return Tonight.of(subject).stream()
                .flatMap(running -> IntStream.range(0, running.parts().size())
                        .filter(i -> FADES.contains(transition(running, i).way()))
                        .filter(i -> isLonger(running, i, i)
                                || transition(running, i).way() == Transition.Way.CROSSFADE
                                        && i + 1 < running.parts().size()
                                        && isLonger(running, i, i + 1))
                        .mapToObj(i -> finding(running, i)));
    }

    private static Transition transition(Running running, int part) {
        return running.parts().get(part).entry().transition();
    }

    /** Whether the fade of one part is longer than another lasts, as far as that is known. */
    private static boolean isLonger(Running running, int faded, int other) {
        long length = running.parts().get(other).lengthMicros();
        return length > 0 && transition(running, faded).micros() > length;
    }

    private Finding finding(Running running, int i) {
        Part part = running.parts().get(i);
        int shorter = isLonger(running, i, i) ? i : i + 1;
        return found(Severity.LOOK)
                .with("show", running.show().name())
                .with("part", part.entry().name())
                .with("fade", part.entry().transition().micros())
                .with("other", running.parts().get(shorter).entry().name())
                .with("length", running.parts().get(shorter).lengthMicros())
                .made();
    }
}
