package embrack.core.gear;

/**
 * A setting of a box that holds for the whole box.
 *
 * @param name as the box's menu calls it: "MIDI receive channel"
 * @param min lowest value, as the box shows it
 * @param max highest value, as the box shows it
 * @param factory value of a new box
 */
public record Setting(SettingId id, TapeLabel name, int min, int max, int factory) {

    public Setting {
        if (min > max || factory < min || factory > max) {
            throw new IllegalArgumentException("setting %s: %d must lie in %d to %d".formatted(id, factory, min, max));
        }
    }

    /**
     * The value itself, if the box has it.
     *
     * @throws IllegalArgumentException with a sentence for a person otherwise
     */
    public int checked(int value) {
        if (value < min || value > max) {
            throw new IllegalArgumentException("%s goes from %d to %d; %d is not on the box.".formatted(name, min, max, value));
        }
        return value;
    }
}
