package embrack.app.store;

import embrack.core.word.Phrase;

/** Why something that was asked for cannot be done. */
public final class Because {

    private Because() {}

    /** The phrase of a key of the words of this package. */
    public static Phrase of(String key) {
        return Phrase.of("app/store", key);
    }
}
