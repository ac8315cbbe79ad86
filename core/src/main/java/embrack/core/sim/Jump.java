package embrack.core.sim;

import embrack.core.name.TapeLabel;
import embrack.core.word.Phrase;

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

    /** What the band does, to begin a sentence. */
    default Phrase phrase() {
        return switch (this) {
            case None none -> Phrase.of("core/sim", "jump.none");
            case Skip skip -> Phrase.of("core/sim", "jump.skip").with("song", skip.song());
            case Restart restart -> Phrase.of("core/sim", "jump.restart").with("section", restart.behind());
            case Repeat repeat -> Phrase.of("core/sim", "jump.repeat").with("section", repeat.section());
        };
    }
}
