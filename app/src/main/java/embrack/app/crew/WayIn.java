package embrack.app.crew;

import java.util.regex.Pattern;

/** Where somebody goes once they are signed in: back to the page that asked them to, never elsewhere. */
final class WayIn {

    /** A path on this server: one slash, and nothing that a browser would take for another server. */
    private static final Pattern HERE = Pattern.compile("/(?![/\\\\])[!-\\[\\]-~]{0,1000}");

    private WayIn() {}

    static String to(String wished) {
        return HERE.matcher(wished).matches() ? wished : "/";
    }
}
