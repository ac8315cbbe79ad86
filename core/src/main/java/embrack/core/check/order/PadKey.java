package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.OrderEdit;
import embrack.core.music.Key;
import embrack.core.show.Running;
import embrack.core.show.Running.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A pad lies under a part in a key that does not lead into the song that follows. */
final class PadKey implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "pad-key");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return Tonight.of(subject).stream().flatMap(running -> check(running).stream());
    }

    private List<Finding> check(Running running) {
        List<Finding> found = new ArrayList<>();
        List<Part> parts = running.parts();
        for (int i = 0; i < parts.size(); i++) {
            Optional<Key> next = parts.get(i).key().isPresent()
                    ? parts.get(i).key()
                    : parts.stream()
                            .skip(i + 1L)
                            .flatMap(part -> part.key().stream())
                            .findFirst();
            Optional<Key> before =
                    parts.stream().limit(i).flatMap(part -> part.key().stream()).reduce((a, b) -> b);
            Optional<Key> pad = parts.get(i).pad();
            if (pad.isPresent() && next.isPresent() && !next.get().holdsDrone(pad.get())) {
                List<Key> fit = before.map(key -> Key.dronesUnder(key, next.get()))
                        .filter(keys -> !keys.isEmpty())
                        .orElseGet(() -> List.of(next.get().root()));
                found.add(found(Severity.LOOK)
                        .with("show", running.show().name())
                        .with("part", parts.get(i).entry().name())
                        .with("pad", pad.get().toString())
                        .with("music", next.get().toString())
                        .with("fits", fit.getFirst().toString())
                        .mend(
                                "take",
                                new OrderEdit.PadIn(
                                        running.show().id(),
                                        parts.get(i).entry().number(),
                                        fit.getFirst().toString()))
                        .made());
            }
        }
        return found;
    }
}
