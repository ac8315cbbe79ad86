package embrack.app.store;

import org.jspecify.annotations.Nullable;

/** What was to be stored would not be read back as it is, so it is not stored. */
final class DoesNotReadBack extends RuntimeException {

    private static final long serialVersionUID = 1L;

    DoesNotReadBack(String why, @Nullable Throwable cause) {
        super(why, cause);
    }
}
