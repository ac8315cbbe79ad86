package embrack.core.offer;

import embrack.core.compile.CompiledStep;
import embrack.core.switches.Step;
import java.util.List;
import java.util.stream.Stream;

/**
 * An action that a person can pick for a switch.
 *
 * @param words the action as people say it: "Vocal mixer: mute Vocal mic"
 * @param compiled what it would take
 * @param along what has to come with it, since it stands still alone
 */
public record Offer(String words, Step step, CompiledStep compiled, List<Step> along) {

    public Offer {
        along = List.copyOf(along);
    }

    /** The same with something said behind it. */
    Offer called(String behind) {
        return new Offer(words + behind, step, compiled, along);
    }

    /** What is added when it is picked: the action and what has to come with it. */
    public List<Step> steps() {
        return Stream.concat(Stream.of(step), along.stream()).toList();
    }
}
