package embrack.core.gear;

import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import java.util.List;
import java.util.Optional;

/**
 * A setting of a box.
 *
 * @param name as the box's menu calls it: "MIDI receive channel"
 * @param min lowest value, as the box shows it
 * @param max highest value, as the box shows it
 * @param factory value of a new box
 * @param purpose what it is for, where Embrack has to know it; by its name where that is not said
 * @param choices what the box shows instead of numbers, the first for {@code min}; empty when it shows the numbers
 * @param besides why it says nothing to messages, for a setting of that kind; up to 80 characters
 */
public record Setting(
        SettingId id,
        TapeLabel name,
        Optional<Purpose> purpose,
        int min,
        int max,
        int factory,
        List<TapeLabel> choices,
        Scope scope,
        Optional<String> besides) {

    public Setting {
        choices = List.copyOf(choices);
        purpose = purpose.or(() -> Purpose.named(id));
        if (besides.filter(why -> why.isBlank() || why.length() > 80).isPresent()) {
            throw new IllegalArgumentException(
                    "setting %s: why it says nothing to messages has 1 to 80 characters".formatted(id));
        }
        if (min > max || factory < min || factory > max) {
            throw new IllegalArgumentException("setting %s: %d must lie in %d to %d".formatted(id, factory, min, max));
        }
        if (!choices.isEmpty() && choices.size() != max - min + 1) {
            throw new IllegalArgumentException(
                    "setting %s has %d values and %d words for them".formatted(id, max - min + 1, choices.size()));
        }
    }

    /** A setting in numbers that holds for the whole box. */
    public static Setting number(SettingId id, String name, int min, int max, int factory) {
        return new Setting(
                id, new TapeLabel(name), Optional.empty(), min, max, factory, List.of(), Scope.BOX, Optional.empty());
    }

    /** Whether it is for that. */
    public boolean isFor(Purpose other) {
        return purpose.filter(p -> p == other).isPresent();
    }

    /**
     * The value itself, if the box has it.
     *
     * @throws IllegalArgumentException with a sentence for a person otherwise
     */
    public int checked(int value) {
        if (value < min || value > max) {
            throw new IllegalArgumentException(
                    "%s goes from %s to %s; %d is not on the box.".formatted(name, shown(min), shown(max), value));
        }
        return value;
    }

    /** A value as the box shows it: "momentary", "12". */
    public String shown(int value) {
        return choices.isEmpty()
                ? String.valueOf(value)
                : choices.get(value - min).text();
    }

    /** What can be set, in words: "1 to 16", "off and on". */
    public String range() {
        return choices.isEmpty() ? "%d to %d".formatted(min, max) : Words.list(choices);
    }
}
