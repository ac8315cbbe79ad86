package embrack.files;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.files.json.UnreadableFile;
import embrack.files.model.ModelFile;
import embrack.files.plan.PlanFile;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Files that are made to hurt are refused in words: none overflows the stack, fills the memory or takes for ever. */
class HostileJsonTests {

    private static final int DEEP = 200_000;

    static Stream<Arguments> files() {
        return Stream.of(
                        "[".repeat(DEEP),
                        "{\"a\":".repeat(DEEP),
                        "[".repeat(DEEP) + "]".repeat(DEEP),
                        "{\"format\": \"%s\", \"version\": 1e999999999}",
                        "{\"format\": \"%s\", \"version\": " + "9".repeat(DEEP) + "}",
                        "{\"format\": \"%s\", \"version\": 0.5}",
                        "{\"format\": \"%s\", \"version\": -1}",
                        "{\"format\": \"%s\", \"format\": \"%s\", \"version\": 1}",
                        "{\"" + "k".repeat(DEEP) + "\": 1}",
                        "{\"format\": \"\\ud800\", \"version\": 1}",
                        "{\"format\": \"\\u0000\", \"version\": 1}",
                        "\u0000\u0000\u0000",
                        "\ufeff",
                        "{\"format\": \"%s\", \"version\": 1",
                        "{\"format\": \"%s\"} {\"format\": \"%s\"}",
                        "null",
                        "\"" + "x".repeat(DEEP))
                .flatMap(text -> Stream.of(PlanFile.FORMAT, ModelFile.FORMAT)
                        .map(format -> Arguments.of(
                                format, text.substring(0, Math.min(40, text.length())), text.replace("%s", format))));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("files")
    void isRefusedInWords(String format, String name, String text) {
        byte[] file = text.getBytes(StandardCharsets.UTF_8);
        List<Runnable> readers = format.equals(PlanFile.FORMAT)
                ? List.of(() -> PlanFile.read(file), () -> PlanFile.readCopy(file))
                : List.of(() -> ModelFile.read(file));
        readers.forEach(reader -> assertThatThrownBy(reader::run)
                .isInstanceOf(UnreadableFile.class)
                .hasMessageNotContaining("Exception")
                .extracting(Throwable::getMessage)
                .asString()
                .hasSizeBetween(10, 400));
    }
}
