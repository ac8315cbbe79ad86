package embrack.core.edit;

import embrack.core.word.Phrase;

/**
 * What edits say: why they cannot be made, and what they do in a few words. Their facts are names, so that they can be
 * said when what they name is gone.
 */
final class Say {

    private static final String ROOM = "core/edit";

    private Say() {}

    /** The phrase of a key of the words of this package. */
    static Phrase of(String key) {
        return Phrase.of(ROOM, key);
    }

    /** A sentence that was made elsewhere. */
    static Phrase text(String text) {
        return of("text").with("text", text);
    }
}
