package embrack.core.crew;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Whether a password can be taken: it is long enough, and not among the first that anybody would try. There are no
 * rules about which letters it has.
 *
 * <p>Source: NIST SP 800-63B, section 5.1.1.2 (from memory): compared with lists of common ones, no rules of
 * composition, at least 64 characters allowed, normalized by NFKC. It asks for 8 characters; here it is
 * {@value #SHORTEST}.
 */
public final class Password {

    /** The fewest characters, counted as people count them. */
    public static final int SHORTEST = 12;

    /** The most; longer ones would only cost time. */
    public static final int LONGEST = 200;

    /** Less than this beside the own name is nothing to guess. */
    private static final int LEFT_BESIDE_THE_NAME = 8;

    private static final int LONGEST_PATTERN = 4;

    /** What fingers run along: alphabet, digits, the rows of a keyboard. */
    private static final List<String> RUNS = List.of(
            "abcdefghijklmnopqrstuvwxyz", "01234567890", "qwertyuiopasdfghjklzxcvbnm", "qwertzuiopasdfghjklyxcvbnm");

    private static final Set<String> COMMON = common();

    private Password() {}

    /** Why a password cannot be taken. */
    public enum Flaw {
        SHORT,
        LONG,
        COMMON,
        NAME;

        /** The end of the key of its words. */
        public String key() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** What a password is compared by, so that it is the same from every keyboard. */
    public static String normal(String typed) {
        return Normalizer.normalize(typed, Normalizer.Form.NFKC);
    }

    /**
     * What is wrong with a password; empty when it can be taken.
     *
     * @param name who would have it
     */
    public static Optional<Flaw> flaw(String typed, String name) {
        String password = normal(typed);
        long length = password.codePoints().count();
        if (length < SHORTEST) {
            return Optional.of(Flaw.SHORT);
        }
        if (length > LONGEST) {
            return Optional.of(Flaw.LONG);
        }
        String small = password.toLowerCase(Locale.ROOT);
        return isTheName(small, name)
                ? Optional.of(Flaw.NAME)
                : isCommon(small) ? Optional.of(Flaw.COMMON) : Optional.empty();
    }

    private static boolean isTheName(String small, String name) {
        String own = normal(name).toLowerCase(Locale.ROOT).strip();
        return own.length() > 1 && small.contains(own) && small.replace(own, "").length() < LEFT_BESIDE_THE_NAME;
    }

    /** Whether it is on the list, is one of the list with something around it, or goes on as it began. */
    private static boolean isCommon(String small) {
        String letters = small.replaceAll("^[^\\p{L}]+|[^\\p{L}]+$", "");
        String unit = unit(small);
        return COMMON.contains(small)
                || COMMON.contains(letters)
                || unit.length() <= LONGEST_PATTERN
                || COMMON.contains(unit)
                || COMMON.contains(unit(letters))
                || RUNS.stream().anyMatch(run -> isAlong(run, small));
    }

    /** The shortest beginning that gives the whole when it is said again and again. */
    private static String unit(String text) {
        for (int length = 1; length < text.length(); length++) {
            boolean isAgain = true;
            for (int i = length; i < text.length() && isAgain; i++) {
                isAgain = text.charAt(i) == text.charAt(i - length);
            }
            if (isAgain) {
                return text.substring(0, length);
            }
        }
        return text;
    }

    /** Whether each character is the next, or the one before, of a run that begins anew at its end. */
    private static boolean isAlong(String run, String text) {
        return isAlong(run, text, 1) || isAlong(run, text, -1);
    }

    private static boolean isAlong(String run, String text, int step) {
        for (int i = 1; i < text.length(); i++) {
            int before = run.indexOf(text.charAt(i - 1));
            int after = run.indexOf(text.charAt(i));
            if (before < 0
                    || after < 0
                    || Math.floorMod(after - before, run.length()) != Math.floorMod(step, run.length())) {
                return false;
            }
        }
        return true;
    }

    private static Set<String> common() {
        try (InputStream list = Password.class.getResourceAsStream("common-passwords.txt")) {
            return new String(Objects.requireNonNull(list).readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .collect(Collectors.toUnmodifiableSet());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
