package embrack.core.sim;

import embrack.core.name.TapeLabel;

/** What a band does that is not in the order. */
public sealed interface Jump {

    /** It keeps to the order. */
    record None() implements Jump {}

    /** It leaves out a song. */
    record Skip(TapeLabel song) implements Jump {}

    /** It breaks off behind a section and begins the song again. */
    record Restart(TapeLabel behind) implements Jump {}

    /** It plays a section once more. */
    record Repeat(TapeLabel section) implements Jump {}

    /** In a sentence: "When Verse 1 is played again". */
    default String words() {
        return switch (this) {
            case None none -> "In the order as it is";
            case Skip skip -> "When %s is left out".formatted(skip.song());
            case Restart restart -> "When the song begins again behind %s".formatted(restart.behind());
            case Repeat repeat -> "When %s is played once more".formatted(repeat.section());
        };
    }
}
