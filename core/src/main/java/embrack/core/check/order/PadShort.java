package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.show.Entry;
import embrack.core.show.Pad;
import embrack.core.show.Running.Part;
import embrack.core.show.Show;
import java.util.stream.Stream;

/** A pad may end before what it lies under. */
final class PadShort implements Rule {

    /** Speech takes up to twice as long as thought. Common practice, no source. */
    private static final int SPEECH = 2;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "pad-short");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return Tonight.of(subject).stream()
                .flatMap(running -> running.parts().stream()
                        .flatMap(part -> part
                                .entry()
                                .pad()
                                .filter(pad -> pad.micros() < needed(part))
                                .map(pad -> finding(running.show(), part, pad))
                                .stream()));
    }

    private static long needed(Part part) {
        Entry entry = part.entry();
        return entry.item().isSpoken()
                ? part.lengthMicros() == 0 ? Pad.USUAL_MICROS : SPEECH * part.lengthMicros()
                : part.lengthMicros();
    }

    private Finding finding(Show show, Part part, Pad pad) {
        return found(Severity.LOOK)
                .with("show", show.name())
                .with("part", part.entry().name())
                .with("pad", pad.micros())
                .with("length", part.lengthMicros())
                .with("needed", needed(part))
                .cause(
                        part.lengthMicros() == 0
                                ? "unknown"
                                : part.entry().item().isSpoken() ? "talk" : "music")
                .made();
    }
}
