package embrack.app.store.crew;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/**
 * What stands in links that let somebody in: 160 bits at random, of which only a hash is kept. Source: SHA-256, FIPS
 * 180-4.
 */
public final class Secret {

    private static final SecureRandom RANDOM = new SecureRandom();
    private static final int BYTES = 20;

    private Secret() {}

    /** A new one, of letters, digits, - and _. */
    public static String next() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** What is kept of it. */
    public static String hash(String secret) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
