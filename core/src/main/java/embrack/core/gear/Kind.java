package embrack.core.gear;

import java.util.List;

/** Kinds of gear, by the job they do. */
public enum Kind {
    FLOOR_BOARD("floor board"), MIXER("mixer", Aspect.MUTED);

    private final String words;
    private final List<Aspect> aspects;

    Kind(String words, Aspect... aspects) {
        this.words = words;
        this.aspects = List.of(aspects);
    }

    /** What can differ about each part of such a box. */
    public List<Aspect> aspects() {
        return aspects;
    }

    /** The kind in a sentence: "floor board". */
    public String words() {
        return words;
    }
}
