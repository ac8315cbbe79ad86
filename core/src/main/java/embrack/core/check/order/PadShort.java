package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.music.Clock;
import embrack.core.show.Entry;
import embrack.core.show.Pad;
import embrack.core.show.Running.Part;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A pad may end before what it lies under. */
final class PadShort implements Rule {

    /** Speech takes up to twice as long as thought. Common practice, no source. */
    private static final int SPEECH = 2;

    @Override
    public RuleInfo info() {
        return new RuleInfo("order.pad-short", "A pad is too short");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return Tonight.of(subject).stream()
                .flatMap(running -> running.parts().stream()
                        .flatMap(part -> part
                                .entry()
                                .pad()
                                .filter(pad -> pad.micros() < needed(part))
                                .map(pad -> finding(Tonight.where(running.show(), part.entry()), part, pad))
                                .stream()));
    }

    private static long needed(Part part) {
        Entry entry = part.entry();
        return entry.item().isSpoken() ? part.length() == 0 ? Pad.USUAL_MICROS : SPEECH * part.length() : part.length();
    }

    private Finding finding(String where, Part part, Pad pad) {
        return new Finding(
                info(),
                Severity.LOOK,
                where,
                "Its pad lasts %s; %s."
                        .formatted(
                                Clock.brief(pad.micros()),
                                part.length() == 0
                                        ? "nobody knows how long the talk is"
                                        : part.entry().item().isSpoken()
                                                ? "%s of talk may become %s"
                                                        .formatted(
                                                                Clock.brief(part.length()), Clock.brief(needed(part)))
                                                : "it has to last " + Clock.brief(part.length())),
                "When it ends, there is silence under somebody's voice.",
                "Take a longer pad; usual are 20 minutes (common practice, no source).",
                List.of(),
                Optional.empty());
    }
}
