package embrack.app.store;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.jspecify.annotations.Nullable;

/** What kind of trouble an exception tells of. */
public enum Trouble {

    /** The connection to the database is lost, or there is none to be had. */
    LOST,

    /** All connections are in use for too long; the database answers. */
    BUSY,

    /** Anything else: a fault of Embrack itself. */
    OURS;

    /** Classes of SQLSTATE in which the server is gone. Source: PostgreSQL 15 documentation, appendix A. */
    private static final String CONNECTION = "08";

    private static final String GOING_DOWN = "57P0";

    /** The trouble that an exception, or what caused it, tells of. */
    public static Trouble of(Throwable thrown) {
        boolean busy = false;
        for (Throwable each = thrown; each != null; each = next(each)) {
            if (each instanceof SQLTransientConnectionException && each.getCause() == null) {
                busy = true; // the pool waited in vain, and opening another connection did not fail
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
