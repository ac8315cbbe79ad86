package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.music.Clock;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The show is longer than its slot. */
final class TooLong implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("order.too-long", "Longer than the slot");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return Tonight.of(subject)
                .filter(running -> running.room().filter(room -> room < 0).isPresent())
                .map(running -> new Finding(
                        info(),
                        Severity.LOOK,
                        running.show().name().text(),
                        "It takes %s, %s more than its slot."
                                .formatted(
                                        Clock.brief(running.end()),
                                        Clock.brief(-running.room().orElseThrow())),
                        "What follows begins late, or the end is cut.",
                        "Leave a song out, shorten the talk, or trim.",
                        List.of(),
                        Optional.empty()))
                .stream();
    }
}
