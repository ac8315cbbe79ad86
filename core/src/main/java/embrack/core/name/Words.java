package embrack.core.name;

import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** How things are put together in a sentence. */
public final class Words {

    private static final Pattern AN = Pattern.compile("(?!uni|use|usb|one|eu)[aeiou]|hour", Pattern.CASE_INSENSITIVE);

    private Words() {}

    /** A list as it is spoken: "1, 2 and 3". */
    public static String list(Collection<?> things) {
        List<String> words = things.stream().map(Object::toString).toList();
        if (words.size() < 2) {
            return String.join("", words);
        }
        return String.join(", ", words.subList(0, words.size() - 1)) + " and " + words.getLast();
    }

    /** Something with "a" or "an" before it, by how it is spoken: "a USB link", "an hour", "an input". */
    public static String a(Object thing) {
        String words = thing.toString();
        return (AN.matcher(words).lookingAt() ? "an " : "a ") + words;
    }

    /** Words at the beginning of a sentence. */
    public static String capital(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    /** A number with its noun: "1 message", "4 messages", "2 supplies". */
    public static String count(int number, String noun) {
        return number == 1 ? "1 " + noun : number + " " + plural(noun);
    }

    /** Several of something: "messages", "boxes", "supplies". */
    public static String plural(String noun) {
        if (noun.matches(".*[^aeiou]y")) {
            return noun.substring(0, noun.length() - 1) + "ies";
        }
        return noun + (noun.matches(".*(ch|sh|s|x)") ? "es" : "s");
    }

    /** One of what a word in small letters may say of several: "message", "box", "supply"; else the word itself. */
    public static String singular(String word) {
        if (word.length() <= 3 || !word.endsWith("s") || word.endsWith("ss")) {
            return word;
        }
        return word.endsWith("ies")
                ? word.substring(0, word.length() - 3) + "y"
                : word.substring(0, word.length() - (word.matches(".*(ch|sh|ss|x)es") ? 2 : 1));
    }
}
