package embrack.app.store;

import java.util.Optional;

/**
 * Whose hand makes an edit, and what it saw.
 *
 * @param author who edits
 * @param seen the revision that the page showed, from which the edit was made; empty when that is not known
 * @param once what marks one sending of an edit, so that it is made once however often it arrives; empty when nothing
 * does
 */
public record Hand(String author, Optional<Integer> seen, Optional<String> once) {

    /** Who edits while nobody has an account. */
    public static final String SOMEBODY = "this machine";

    /** A hand of which nothing is known. */
    public static final Hand ANY = new Hand(SOMEBODY, Optional.empty(), Optional.empty());

    /** The longest mark of a sending, in characters. */
    public static final int MAX_ONCE = 80;

    public Hand {
        if (once.filter(mark -> mark.isBlank() || mark.length() > MAX_ONCE).isPresent()) {
            throw new IllegalArgumentException("the mark of a sending has 1 to %d characters".formatted(MAX_ONCE));
        }
    }

    /** Whether what an author did is this hand's to take back: its own, and what was done before anybody had a name. */
    boolean isOwn(String of) {
        return of.equals(author) || of.equals(SOMEBODY);
    }

    /** The same hand, known to look at a revision. */
    public Hand seeing(int revision) {
        return new Hand(author, Optional.of(revision), once);
    }
}
