package embrack.app.store;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.jspecify.annotations.Nullable;

/** What kind of trouble an exception tells of. */
public enum Trouble {

    /** The connection to the database is lost, or there is none to be had. */
    LOST(
            "The database does not answer",
            "Your rigs are safe in it; whether what you did last was kept shows once it answers. This page looks again "
                    + "every few seconds. If it stays like this, run ./embrack start once more.",
            "The database does not answer. What you typed is still here; try again in a moment."),

    /** All connections are in use for too long; the database answers. */
    BUSY(
            "Embrack has much to do just now",
            "Nothing was changed. This page looks again every few seconds.",
            "Embrack has much to do just now, and nothing was changed. What you typed is still here; try again in a "
                    + "moment."),

    /** The database has no room on its disc. */
    FULL(
            "The disc is full",
            "Nothing was changed. Whoever looks after this machine makes room on the disc of the database; then it "
                    + "goes on by itself. This page looks again every few seconds.",
            "The disc of the database is full, and nothing was changed. What you typed is still here; try again once "
                    + "there is room."),

    /** Anything else: a fault of Embrack itself. */
    OURS("That did not work", "This is a fault of Embrack, and nothing was changed.", "That did not work.");

    private final String title;
    private final String words;
    private final String brief;

    Trouble(String title, String words, String brief) {
        this.title = title;
        this.words = words;
        this.brief = brief;
    }

    /** What a page about it is headed by. */
    public String title() {
        return title;
    }

    /** What such a page says. */
    public String words() {
        return words;
    }

    /** What is said beside what somebody typed. */
    public String brief() {
        return brief;
    }

    /** Classes of SQLSTATE in which the server is gone. Source: PostgreSQL 15 documentation, appendix A. */
    private static final String CONNECTION = "08";

    private static final String GOING_DOWN = "57P0";

    private static final String DISC_FULL = "53100";

    /** The trouble that an exception, or what caused it, tells of. */
    public static Trouble of(Throwable thrown) {
        boolean busy = false;
        for (Throwable each = thrown; each != null; each = next(each)) {
            if (each instanceof SQLTransientConnectionException && each.getCause() == null) {
                busy = true; // the pool waited in vain, and opening another connection did not fail
            } else if (each instanceof RunElsewhere) {
                busy = true; // another server that ended is waited for, or one that does not let go
            } else if (each instanceof SQLException sql && DISC_FULL.equals(sql.getSQLState())) {
                return FULL;
            } else if (each instanceof SQLException sql && isConnection(sql.getSQLState())) {
                return LOST;
            }
        }
        return busy ? BUSY : OURS;
    }

    private static boolean isConnection(@Nullable String state) {
        return state != null && (state.startsWith(CONNECTION) || state.startsWith(GOING_DOWN));
    }

    private static @Nullable Throwable next(Throwable each) {
        return each.getCause() == each ? null : each.getCause();
    }
}
