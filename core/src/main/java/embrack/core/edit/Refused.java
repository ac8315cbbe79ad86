package embrack.core.edit;

import embrack.core.word.Language;
import embrack.core.word.Phrase;
import embrack.core.word.Wording;

/** An edit that cannot be made, with the field that is to blame and a sentence for the person who tried. */
public final class Refused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;
    private final transient Phrase phrase;

    /**
     * A refusal.
     *
     * @param field the name of the record component of the edit that is to blame
     * @param phrase what is wrong and what to do; its facts are names, so that it can be said without the plan
     */
    public Refused(String field, Phrase phrase) {
        super(Wording.without(Language.ENGLISH).say(phrase));
        this.field = field;
        this.phrase = phrase;
    }

    /** What is wrong and what to do. */
    public Phrase phrase() {
        return phrase;
    }

    public String field() {
        return field;
    }

    /** The same in English. */
    public String words() {
        return String.valueOf(getMessage());
    }
}
