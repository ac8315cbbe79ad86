package embrack.core.light;

/** Values of a slot that mean one thing, both ends included, 0 to 255. */
public record Stretch(int from, int to) {

    public Stretch {
        if (from < 0 || to > Slot.FULL || from > to) {
            throw new IllegalArgumentException(
                    "Values of a slot run from 0 to 255, the lower first; %d..%d does not.".formatted(from, to));
        }
    }

    public boolean holds(int value) {
        return value >= from && value <= to;
    }

    /** The value in its middle, which stays inside whatever rounds. */
    public int middle() {
        return (from + to) / 2;
    }

    @Override
    public String toString() {
        return from == to ? String.valueOf(from) : from + ".." + to;
    }
}
