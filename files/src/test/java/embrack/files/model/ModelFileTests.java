package embrack.files.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import embrack.core.Mixers;
import embrack.core.gear.Model;
import embrack.core.gear.library.Library;
import embrack.files.json.UnreadableFile;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ModelFileTests {

    private static final Schema SCHEMA = schema();

    private static Stream<Model> models() {
        return Stream.concat(
                Library.all().stream(), Stream.of(Mixers.swappedChart(), Mixers.toggling(), Mixers.deafBeyondInputs()));
    }

    /** The validator is an independent reader of JSON Schema 2020-12 (json-schema.org). */
    @ParameterizedTest
    @MethodSource("models")
    void everyModelFitsTheSchemaAndIsReadBackTheSame(Model model) {
        String file = ModelFile.write(model);
        assertThat(SCHEMA.validate(file, InputFormat.JSON)).isEmpty();
        assertThat(ModelFile.read(file)).isEqualTo(model);
        assertThat(ModelFile.write(ModelFile.read(file))).isEqualTo(file);
    }

    @Test
    void theExampleIsAsEmbrackWritesIt() throws IOException {
        String text = Files.readString(Path.of("../docs/examples/lantern-desk.model.json"));
        assertThat(ModelFile.write(ModelFile.read(text))).isEqualTo(text);
    }

    @Test
    void allMistakesAreTold() {
        String file = ModelFile.write(Library.RACK_MIXER)
                .replace("mute Input 1..16", "mutte Input 1..16")
                .replace("cc 63 under 64", "cc 163")
                .replace("mute Bus 1..3", "mute Bus 1..4");
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> ModelFile.read(file))
                .satisfies(e -> assertThat(e.problems())
                        .extracting(Object::toString)
                        .containsExactly(
                                "chart[1]: column 1: \"mutte\" is no verb of a chart. Did you mean \"mute\"?",
                                "chart[3]: column 19: 4 parts, but 3 numbers: \"Bus 1..4\" and \"60..62\" "
                                        + "must be of the same length.",
                                "chart[8]: column 15: CC numbers go from 0 to 127; 163 is not one of them."));
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> ModelFile.read("{\"format\":\"embrack-plan\"}"))
                .withMessage("format: must be \"embrack-model\"; this is some other file");
        assertThat(List.of("\"settings\" : [ ]", "\"ports\" : [ 1 ]"))
                .allSatisfy(broken -> assertThatExceptionOfType(UnreadableFile.class)
                        .isThrownBy(() -> ModelFile.read(ModelFile.write(Library.RACK_MIXER)
                                .replaceFirst("\"(settings|ports)\" : \\[[^]]*]", broken))));
    }

    private static Schema schema() {
        try (InputStream in = ModelFile.class.getResourceAsStream("/embrack/files" + ModelFile.SCHEMA)) {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(new String(in.readAllBytes(), StandardCharsets.UTF_8), InputFormat.JSON);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
