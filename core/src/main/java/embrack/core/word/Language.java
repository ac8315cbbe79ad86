package embrack.core.word;

import com.ibm.icu.text.MessagePattern;
import com.ibm.icu.text.PluralRules;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;

/**
 * A language that Embrack speaks. English has a pattern for everything; another language has those of its files, {@code
 * words_TAG.properties} beside the English ones, and English for what is missing there.
 */
public final class Language {

    private static final Pattern TAG = Pattern.compile("[a-z]{2,8}");
    private static final String ENGLISH_TAG = "en";
    private static final Map<String, Language> KNOWN = new ConcurrentHashMap<>();

    public static final Language ENGLISH = of(ENGLISH_TAG);

    private final String tag;
    private final Map<String, Properties> rooms = new ConcurrentHashMap<>();
    private final Map<String, MessagePattern> patterns = new ConcurrentHashMap<>();

    private Language(String tag) {
        this.tag = tag;
    }

    /**
     * A language by its tag.
     *
     * @param tag the primary subtag as in RFC 5646, lower case: "en"
     * @throws IllegalArgumentException when it is none
     */
    public static Language of(String tag) {
        if (!TAG.matcher(tag).matches()) {
            throw new IllegalArgumentException("A language is two to eight small letters, such as en.");
        }
        return KNOWN.computeIfAbsent(tag, Language::new);
    }

    public String tag() {
        return tag;
    }

    /** Whether there is anything that this language says in its own words. */
    public boolean isSpoken() {
        return tag.equals(ENGLISH_TAG) || !room("core/word").isEmpty();
    }

    /** The keys of the patterns of a room, sorted. */
    public Set<String> keys(String room) {
        return new TreeSet<>(room(room).stringPropertyNames());
    }

    /** A pattern as it is written; empty when neither this language nor English has it. */
    public Optional<String> text(String room, String key) {
        String own = room(room).getProperty(key);
        return own != null || tag.equals(ENGLISH_TAG) ? Optional.ofNullable(own) : ENGLISH.text(room, key);
    }

    Optional<MessagePattern> pattern(String room, String key) {
        String name = room + ":" + key;
        MessagePattern known = patterns.get(name);
        if (known != null) {
            return Optional.of(known);
        }
        Optional<MessagePattern> read = text(room, key).map(MessagePattern::new);
        read.ifPresent(pattern -> patterns.put(name, pattern));
        return read;
    }

    /** Which form of a noun goes with a number: "one", "other". */
    String form(long number) {
        return Forms.of(tag).select(number);
    }

    private Properties room(String room) {
        return rooms.computeIfAbsent(room, this::read);
    }

    private Properties read(String room) {
        String suffix = tag.equals(ENGLISH_TAG) ? "" : "_" + tag;
        Properties words = new Properties();
        String place = "/embrack/%s/words%s.properties".formatted(room, suffix);
        try (InputStream in = Language.class.getResourceAsStream(place)) {
            if (in != null) {
                words.load(new InputStreamReader(in, StandardCharsets.UTF_8));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(place, e);
        }
        return words;
    }

    /** The rules of ICU, which take time to read, only once somebody counts. Source: Unicode CLDR, plural rules. */
    private static final class Forms {

        private static final Map<String, PluralRules> RULES = new ConcurrentHashMap<>();

        private static PluralRules of(String tag) {
            return RULES.computeIfAbsent(tag, t -> PluralRules.forLocale(new ULocale(t)));
        }
    }
}
