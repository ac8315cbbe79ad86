package embrack.core.word;

import java.util.Locale;

/** The article before a noun, from the table of the language: by its first letters, the longest that is there. */
final class Articles {

    private static final int LONGEST = 4;

    private Articles() {}

    static String withArticle(Language language, String noun) {
        String lower = noun.toLowerCase(Locale.ROOT);
        for (int letters = Math.min(LONGEST, lower.length()); letters >= 0; letters--) {
            String key = letters == 0 ? "article" : "article." + lower.substring(0, letters);
            var article = language.text("core/word", key);
            if (article.isPresent()) {
                return article.get() + " " + noun;
            }
        }
        return noun;
    }
}
