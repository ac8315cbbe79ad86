package embrack.core.show;

import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Who begins a part of a show, and who ends it.
 *
 * @param arm the switch that is pressed before, so that the right song stands ready; empty for one press
 * @param go the switch that begins it; empty where nobody presses anything
 * @param ending who ends it
 * @param end the switch that ends it, for an ending by foot and for no other
 */
public record Calls(Optional<SwitchAt> arm, Optional<SwitchAt> go, Ending ending, Optional<SwitchAt> end) {

    /** Nobody presses anything, and it ends by itself. */
    public static final Calls NONE = new Calls(Optional.empty(), Optional.empty(), Ending.ITSELF, Optional.empty());

    /** Who ends a part. */
    public enum Ending {
        ITSELF("by itself"),
        FOOT("by foot"),
        DESK("at the desk, by hand");

        private final String words;

        Ending(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public Calls {
        if (end.isPresent() != (ending == Ending.FOOT)) {
            throw new IllegalArgumentException(
                    end.isPresent()
                            ? "Only a part that ends by foot has a switch that ends it."
                            : "Choose the switch that ends it.");
        }
        if (arm.isPresent() && arm.equals(go)) {
            throw new IllegalArgumentException("What arms and what goes are two switches.");
        }
    }

    public Calls withGo(Optional<SwitchAt> other) {
        return new Calls(arm.filter(armed -> !other.equals(arm)), other, ending, end);
    }

    /** All that is pressed, in order. */
    public List<SwitchAt> presses() {
        return Stream.of(arm, go, end).flatMap(Optional::stream).toList();
    }

    /** With every switch where {@code now} says that it is now; what is nowhere is not pressed. */
    Calls at(Function<SwitchAt, Optional<SwitchAt>> now) {
        Optional<SwitchAt> ends = end.flatMap(now);
        return new Calls(
                arm.flatMap(now),
                go.flatMap(now),
                ending == Ending.FOOT && ends.isEmpty() ? Ending.DESK : ending,
                ends);
    }
}
