package embrack.app.crew;

import embrack.core.word.Phrase;

/** Why something about people cannot be done on these pages. */
final class Because {

    private Because() {}

    /** The phrase of a key of the words of this package. */
    static Phrase of(String key) {
        return Phrase.of("app/crew", key);
    }
}
