package embrack.core.name;

import java.util.Collection;
import java.util.List;
import java.util.Locale;

/** How things are put together in a sentence. */
public final class Words {

    private Words() {}

    /** A list as it is spoken: "1, 2 and 3". */
    public static String list(Collection<?> things) {
        List<String> words = things.stream().map(Object::toString).toList();
        if (words.size() < 2) {
            return String.join("", words);
        }
        return String.join(", ", words.subList(0, words.size() - 1)) + " and " + words.getLast();
    }

    /** Something with "a" or "an" before it, by its first letter. */
    public static String a(Object thing) {
        String words = thing.toString();
        return (!words.isEmpty() && "AEIOUaeiou".indexOf(words.charAt(0)) >= 0 ? "an " : "a ") + words;
    }

    /** Words at the beginning of a sentence. */
    public static String capital(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    /** A number with its noun: "1 message", "4 messages". */
    public static String count(int number, String noun) {
        return number == 1 ? "1 " + noun : number + " " + noun + (noun.endsWith("ch") ? "es" : "s");
    }
}
