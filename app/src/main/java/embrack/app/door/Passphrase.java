package embrack.app.door;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The one passphrase of the second door, and the passes that it gives: how long a pass holds, signed with a key made of
 * the passphrase, so that another passphrase ends them all.
 *
 * <p>Source of the signature: HMAC (RFC 2104) with SHA-256.
 */
@Component
class Passphrase {

    /** As long as a show day with its evening before. */
    static final Duration HOLDS = Duration.ofHours(36);

    private static final String SIGNATURE = "HmacSHA256";

    private final byte[] words;
    private final SecretKeySpec key;
    private final InstantSource clock;

    @Autowired
    Passphrase(
            @Value("${embrack.lan.passphrase}") String words, @Value("${embrack.lan.keystore-password}") String salt) {
        this(words, salt, InstantSource.system());
    }

    Passphrase(String words, String salt, InstantSource clock) {
        this.words = words.strip().getBytes(StandardCharsets.UTF_8);
        this.key = new SecretKeySpec(
                ("embrack pass\n" + salt + "\n" + words.strip()).getBytes(StandardCharsets.UTF_8), SIGNATURE);
        this.clock = clock;
    }

    /** Whether that is the passphrase; never when there is none. */
    boolean is(String typed) {
        return words.length > 0 && MessageDigest.isEqual(words, typed.strip().getBytes(StandardCharsets.UTF_8));
    }

    /** A pass from now on. */
    String pass() {
        String until = String.valueOf(clock.instant().plus(HOLDS).getEpochSecond());
        return until + "." + signed(until);
    }

    /** Whether a pass was given here and still holds. */
    boolean holds(String pass) {
        int dot = pass.indexOf('.');
        if (words.length == 0 || dot < 1 || !pass.substring(0, dot).matches("\\d{1,12}")) {
            return false;
        }
        String until = pass.substring(0, dot);
        boolean signed = MessageDigest.isEqual(
                signed(until).getBytes(StandardCharsets.US_ASCII),
                pass.substring(dot + 1).getBytes(StandardCharsets.UTF_8));
        return signed && clock.instant().isBefore(Instant.ofEpochSecond(Long.parseLong(until)));
    }

    private String signed(String text) {
        try {
            Mac mac = Mac.getInstance(SIGNATURE);
            mac.init(key);
            return Base64.getUrlEncoder()
                    .withoutPadding()
                    .encodeToString(mac.doFinal(text.getBytes(StandardCharsets.US_ASCII)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
