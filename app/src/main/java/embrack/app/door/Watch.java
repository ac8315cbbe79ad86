package embrack.app.door;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Objects;

/**
 * Who may read what the server counts, for whoever watches over it: anybody while nobody has an account, as it listens
 * on loopback then; later whoever brings the key that the server was started with.
 */
public final class Watch {

    private static final String PLACE = "/actuator/prometheus";
    private static final String BEARER = "Bearer ";

    private final byte[] key;

    /**
     * For a key.
     *
     * @param key empty when there is none, and nobody may read
     */
    public Watch(String key) {
        this.key = key.getBytes(StandardCharsets.UTF_8);
    }

    static boolean isAskedFor(HttpServletRequest request) {
        return request.getRequestURI().equals(PLACE);
    }

    boolean lets(HttpServletRequest request, Entry entry) {
        String brought = Objects.requireNonNullElse(request.getHeader("Authorization"), "");
        return entry.isAlone()
                || key.length > 0
                        && brought.startsWith(BEARER)
                        && MessageDigest.isEqual(
                                brought.substring(BEARER.length()).getBytes(StandardCharsets.UTF_8), key);
    }
}
