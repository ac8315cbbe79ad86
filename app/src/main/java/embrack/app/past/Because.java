package embrack.app.past;

import embrack.core.word.Phrase;

/** Why something of the past cannot be brought back. */
final class Because {

    private Because() {}

    /** The phrase of a key of the words of this package. */
    static Phrase of(String key) {
        return Phrase.of("app/past", key);
    }
}
