package embrack.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.check.rule.Rule;
import embrack.core.check.rule.Topic;
import embrack.core.word.Language;
import embrack.core.word.Patterns;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Rules have facts and no sentences; message files have sentences and ask for nothing but facts. */
class FindingWordsTests {

    private static final Pattern LITERAL = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
    /** Facts that every finding has. */
    private static final Set<String> COMMON = Set.of("switches", "remedy", "cause", "scene");

    @ParameterizedTest
    @EnumSource
    void noSentenceStandsInARule(Topic topic) {
        assertThat(literals(topic.key()))
                .isNotEmpty()
                .filteredOn(literal -> literal.contains(" "))
                .allMatch(TAPE::contains, "what is written on tape or for a programmer");
    }

    /** What remedies write on tape, and what only a programmer reads. */
    private static final Set<String> TAPE =
            Set.of("Stop all", "Make safe", "no obstacle of this rule", "no cause of this rule");

    @ParameterizedTest
    @EnumSource
    void noPatternLacksAFact(Topic topic) {
        Set<String> known = new TreeSet<>(literals(topic.key()));
        known.addAll(COMMON);
        known.addAll(literals("remedy"));
        String room = "core/check/" + topic.key();
        assertThat(Language.ENGLISH.keys(room))
                .isNotEmpty()
                .allSatisfy(key -> assertThat(known)
                        .as(key)
                        .containsAll(Patterns.arguments(
                                Language.ENGLISH.text(room, key).orElseThrow())));
    }

    @Test
    void everyRuleHasAllItsWordsAndNoWordsAreLeftOver() {
        for (Topic topic : Topic.values()) {
            Set<String> keys = Language.ENGLISH.keys("core/check/" + topic.key());
            Set<String> rules = Catalogue.rules().stream()
                    .map(Rule::info)
                    .filter(info -> info.topic() == topic)
                    .map(info -> info.name())
                    .collect(Collectors.toCollection(TreeSet::new));
            assertThat(keys)
                    .containsAll(rules.stream()
                            .flatMap(rule ->
                                    Stream.of("title", "what", "why", "fix").map(part -> rule + "." + part))
                            .toList());
            assertThat(keys.stream().map(key -> key.split("\\.")[0]).filter(name -> !rules.contains(name)))
                    .as("what all rules of a topic share")
                    .isSubsetOf("do", "where", "spare");
        }
    }

    private static List<String> literals(String room) {
        try (Stream<Path> all = Files.walk(Path.of("src/main/java/embrack/core/check", room))) {
            return all.filter(file -> file.toString().endsWith(".java"))
                    .flatMap(file -> LITERAL.matcher(read(file)).results().map(found -> found.group(1)))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
