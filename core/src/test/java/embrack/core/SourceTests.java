package embrack.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a formatter cannot do: break a sentence, find a name. */
class SourceTests {

    private static final int WIDEST = 120;

    @ParameterizedTest
    @ValueSource(strings = {"core", "files", "paper", "app", "bench"})
    void everyLineFitsAScreen(String module) {
        List<Path> sources = sources(module);
        assertThat(sources).hasSizeGreaterThan(10);
        assertThat(sources.stream().flatMap(SourceTests::wide)).isEmpty();
    }

    @Test
    void noClassIsNamedForHavingNoSubject() {
        assertThat(Stream.of("core", "files", "paper", "app", "bench")
                        .flatMap(module -> sources(module).stream())
                        .map(source -> source.getFileName().toString()))
                .noneMatch(name -> name.matches(".*(Util|Utils|Helper|Manager|Impl)\\.java"));
    }

    /** What a value says of a text that it does not take becomes a refusal in one place. */
    @Test
    void noRoomTurnsWhatValuesSayIntoRefusalsItself() {
        List<Path> rooms = Stream.concat(
                        sources("app", "main", "Controller.java").stream(),
                        sources("core", "main/java/embrack/core/edit", ".java").stream())
                .toList();
        assertThat(rooms).hasSizeGreaterThan(40);
        assertThat(rooms)
                .filteredOn(room -> text(room).contains("catch (IllegalArgumentException"))
                .extracting(room -> room.getFileName().toString())
                .containsExactly("Refused.java");
    }

    private static String text(Path source) {
        try {
            return Files.readString(source);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void soDoesEveryRuleOfAStyleSheetAndEveryLineOfAScript() {
        List<Path> sheets = sources("app", "main/resources/static", ".css", ".js");
        assertThat(sheets).hasSizeGreaterThan(15);
        assertThat(sheets.stream().flatMap(SourceTests::wide)).isEmpty();
    }

    private static List<Path> sources(String module) {
        return sources(module, "", ".java");
    }

    private static List<Path> sources(String module, String below, String... endings) {
        try (Stream<Path> all = Files.walk(Path.of("..", module, "src", below))) {
            return all.filter(file -> Stream.of(endings).anyMatch(file.toString()::endsWith))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Stream<String> wide(Path source) {
        try {
            List<String> lines = Files.readAllLines(source);
            return IntStream.range(0, lines.size())
                    .filter(i -> lines.get(i).length() > WIDEST)
                    .mapToObj(i -> "%s:%d".formatted(source, i + 1));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
