package embrack.core.crew;

import java.util.Locale;
import java.util.random.RandomGenerator;

/**
 * A code that people copy by hand: 80 bits as four groups of four letters and digits, none of which is taken for
 * another.
 *
 * <p>Source of the alphabet: D. Crockford, Base 32 (from memory): no I, L, O, U; I and L are read as 1, O as 0.
 */
public final class Code {

    private static final String ALPHABET = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
    private static final int LENGTH = 16;
    private static final int GROUP = 4;

    private Code() {}

    /** A new one: "7K2M-9XQA-40FT-ZC3H". */
    public static String next(RandomGenerator random) {
        var code = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            if (i > 0 && i % GROUP == 0) {
                code.append('-');
            }
            code.append(ALPHABET.charAt(random.nextInt(ALPHABET.length())));
        }
        return code.toString();
    }

    /** The code that somebody meant: without blanks and dashes, what looks alike told apart. */
    public static String read(String typed) {
        return typed.toUpperCase(Locale.ROOT)
                .replaceAll("[^0-9A-Z]", "")
                .replace('I', '1')
                .replace('L', '1')
                .replace('O', '0');
    }
}
