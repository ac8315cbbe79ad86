package embrack.core.chart;

import java.util.List;

/** What can differ about a part, as a number from 0 up to one less than {@link #size()}. */
public enum Aspect {
    MUTED(1, "open", "muted"),
    SWITCHED(1, "off", "on"),
    CHOSEN(0, "not chosen", "chosen"),
    TRANSPORT(1, "stopped", "playing", "paused", "recording"),
    /** A level as it travels, 0 to 127. */
    LEVEL(128),
    /** How far a list was stepped through since the start, round and round. */
    STEP(1_000),
    /** How far pages were turned. */
    PAGE(1_000),
    /** How often it was cleared. */
    CLEARED(1_000),
    /** How often the last thing was undone. */
    UNDONE(1_000),
    /** How often it was repeated. */
    REPEATED(1_000),
    /** How often the tempo was tapped. */
    TAPPED(1_000);

    private final int size;
    private final int far;
    private final List<String> words;

    Aspect(int far, String... words) {
        this.size = words.length;
        this.far = far;
        this.words = List.of(words);
    }

    Aspect(int size) {
        this.size = size;
        this.far = size == 128 ? size - 1 : 0;
        this.words = List.of();
    }

    /** How many values there are; values run from 0 to one less. */
    public int size() {
        return size;
    }

    /** The value farthest from the one at power-on; 0 where all values are alike, as for counts and choices. */
    public int far() {
        return far;
    }

    /** Whether it only counts what was done, so that nothing depends on where it stands. */
    public boolean isCount() {
        return size > LEVEL.size;
    }

    /** Values that stand for all others where a part may stand anywhere: its ends. */
    public List<Integer> ends() {
        return isCount() ? List.of(0) : this == LEVEL ? List.of(0, size - 1) : List.of(0, 1);
    }

    /** A value in a word: "open", "muted", "64", "moved 2". */
    public String word(int value) {
        if (!words.isEmpty()) {
            return words.get(value);
        }
        if (this == LEVEL) {
            return String.valueOf(value);
        }
        int moved = value > size / 2 ? value - size : value;
        return switch (this) {
            case STEP, PAGE -> moved == 0 ? "not moved" : "moved " + (moved > 0 ? "+" : "") + moved;
            default -> moved == 1 ? "once" : moved + " times";
        };
    }
}
