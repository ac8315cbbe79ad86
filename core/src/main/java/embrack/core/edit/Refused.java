package embrack.core.edit;

/** An edit that cannot be made, with the field that is to blame and a sentence for the person who tried. */
public final class Refused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;

    /**
     * A refusal.
     *
     * @param field the name of the record component of the edit that is to blame
     * @param message what is wrong and what to do, for a person
     */
    public Refused(String field, String message) {
        super(message);
        this.field = field;
    }

    public String field() {
        return field;
    }

    /** The message, which is never missing. */
    public String words() {
        return String.valueOf(getMessage());
    }
}
