package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
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
        return new RuleInfo("order.pad-key", "A pad in the wrong key");
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
                found.add(new Finding(
                        info(),
                        Severity.LOOK,
                        Tonight.where(running.show(), parts.get(i).entry()),
                        "Its pad is in %s, and the music is in %s.".formatted(pad.get(), next.get()),
                        "Root and fifth of the pad are not both in that scale: it clashes as soon as somebody plays.",
                        "Take the pad in %s.".formatted(fit.getFirst()),
                        List.of(),
                        Optional.empty()));
            }
        }
        return found;
    }
}
