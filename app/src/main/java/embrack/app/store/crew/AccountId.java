package embrack.app.store.crew;

/**
 * Identifies an account in the database.
 *
 * @param number 1 or more
 */
public record AccountId(long number) {

    public AccountId {
        if (number < 1) {
            throw new IllegalArgumentException("an account's number is 1 or more, was " + number);
        }
    }

    /** The id that a path names; Spring converts with it. */
    public static AccountId of(String text) {
        return new AccountId(Long.parseLong(text));
    }

    @Override
    public String toString() {
        return String.valueOf(number);
    }
}
