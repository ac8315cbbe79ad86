package embrack.core.edit;

import embrack.core.word.Language;
import embrack.core.word.Phrase;
import embrack.core.word.Wording;
import java.util.function.Supplier;

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

    /** A refusal in words that come from what was read, such as the problems of a file. */
    public static Refused text(String field, String words) {
        return new Refused(field, Say.text(words));
    }

    /**
     * What the supplier gives. This is the one place where what a value says of a text that it does not take becomes a
     * refusal of the field in which it was typed.
     *
     * @throws Refused when the supplier refuses with an {@link IllegalArgumentException}, in its words
     */
    public static <T> T at(String field, Supplier<T> supplier) {
        try {
            return supplier.get();
        } catch (IllegalArgumentException e) {
            throw text(field, String.valueOf(e.getMessage()));
        }
    }

    /** As {@link #at(String, Supplier)}, in other words than the value's. */
    public static <T> T at(String field, Phrase phrase, Supplier<T> supplier) {
        try {
            return supplier.get();
        } catch (IllegalArgumentException e) {
            throw new Refused(field, phrase);
        }
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
