package embrack.app.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class PageWordsTests {

    private static final Pattern TEXT =
            Pattern.compile("(?:>|aria-label=\"|title=\"|placeholder=\")([^<>\"$]*\\p{L}{2}[^<>\"$]*)");

    /** So that no sentence can get the translation of another. */
    @Test
    void noTwoTextsOfTemplatesAreKnownByOneKey() throws IOException {
        Map<String, TreeSet<String>> texts = new TreeMap<>();
        try (Stream<Path> templates = Files.walk(Path.of("src/main/resources/templates"))) {
            for (Path template :
                    templates.filter(t -> t.toString().endsWith(".html")).toList()) {
                List<String> found = TEXT.matcher(Files.readString(template))
                        .results()
                        .map(match -> match.group(1)
                                .strip()
                                .replaceAll("[^\\p{L}0-9]+", " ")
                                .toLowerCase())
                        .toList();
                found.forEach(text -> texts.computeIfAbsent(PageWords.key(text), key -> new TreeSet<>())
                        .add(text.strip()));
            }
        }
        assertThat(texts).hasSizeGreaterThan(400);
        assertThat(texts.values()).filteredOn(same -> same.size() > 1).isEmpty();
    }
}
