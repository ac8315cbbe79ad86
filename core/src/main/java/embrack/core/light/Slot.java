package embrack.core.light;

/**
 * One of the numbers from 0 to 255 that a fixture reads.
 *
 * @param cell the part of the fixture that it is about, counted from 1; 0 for all of it
 */
public record Slot(Use use, int cell) {

    /** The most that a slot can be. */
    public static final int FULL = 255;

    public Slot {
        if (cell < 0 || cell > Mode.MAX_SLOTS) {
            throw new IllegalArgumentException("A cell is counted from 1; there is no cell " + cell + ".");
        }
    }

    /** A slot for the whole fixture. */
    public Slot(Use use) {
        this(use, 0);
    }

    /** As a list has it: "red", "red of cell 2". */
    public String words() {
        return cell == 0 ? use.words() : "%s of cell %d".formatted(use.words(), cell);
    }
}
