package embrack.paper.part;

import embrack.core.sheet.CueSheet;

/** Moments of a song in two cells: bar with beat, and clock. */
final class Whens {

    private Whens() {}

    /** "19", "19 beat 3½", "on load". */
    static String place(CueSheet.When when) {
        return when.at().isEmpty() ? when.bar() + (when.beat().isEmpty() ? "" : " beat " + when.beat()) : when.at();
    }
}
