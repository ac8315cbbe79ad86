package embrack.files.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import embrack.core.Mixers;
import embrack.core.MuteBoard;
import embrack.core.check.Report;
import embrack.core.gear.Library;
import embrack.core.gear.TapeLabel;
import embrack.core.plan.GearEdit;
import embrack.core.plan.Plan;
import embrack.core.plan.SwitchEdit;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class PlanFileTests {

    private static final String CLEAN = PlanFile.write(MuteBoard.plan());
    private static final Path EXAMPLES = Path.of("../docs/examples");
    private static final Schema SCHEMA = schema();

    private static Stream<Plan> plans() {
        return Stream.of(MuteBoard.plan(), Plan.empty(new TapeLabel("Nothing")), MuteBoard.withSecondMixer(3),
                MuteBoard.withMixer(Mixers.chartOnly()), MuteBoard.withMixer(Mixers.swappedChart()),
                MuteBoard.with(new GearEdit.SwapHardware(MuteBoard.BOARD, Library.FOUR_SWITCH_DESK_BOARD),
                        new SwitchEdit.NameSwitch(MuteBoard.at(4), "Ærø & \"quotes\" \\ ñ")));
    }

    /** The validator is an independent reader of JSON Schema 2020-12 (json-schema.org). */
    @ParameterizedTest
    @MethodSource("plans")
    void whatIsWrittenFitsTheSchemaAndIsReadBackTheSame(Plan plan) {
        String file = PlanFile.write(plan);
        assertThat(SCHEMA.validate(file, InputFormat.JSON)).isEmpty();
        assertThat(PlanFile.read(file)).isEqualTo(plan);
        assertThat(PlanFile.write(PlanFile.read(file))).isEqualTo(file);
    }

    @Test
    void theExamplesAreAsEmbrackWritesThem() throws IOException {
        try (Stream<Path> files = Files.list(EXAMPLES)) {
            List<Path> examples = files.toList();
            assertThat(examples).hasSizeGreaterThan(1);
            for (Path example : examples) {
                String text = Files.readString(example);
                assertThat(PlanFile.write(PlanFile.read(text))).as(example.toString()).isEqualTo(text);
                assertThat(SCHEMA.validate(text, InputFormat.JSON)).isEmpty();
            }
        }
        assertThat(Report.of(PlanFile.read(Files.readString(EXAMPLES.resolve("mute-board.json")))).findings()).isEmpty();
    }

    @Test
    void theExampleInTheDocumentationIsAPlanWithoutAFinding() throws IOException {
        Matcher example = Pattern.compile("```json\n(.*?)```", Pattern.DOTALL).matcher(Files.readString(Path.of("../docs/formats.md")));
        assertThat(example.find()).isTrue();
        assertThat(SCHEMA.validate(example.group(1), InputFormat.JSON)).isEmpty();
        Report report = Report.of(PlanFile.read(example.group(1)));
        assertThat(report.findings()).isEmpty();
        assertThat(report.proofs()).hasSize(2);
    }

    private static List<Arguments> broken() {
        return List.of(
                Arguments.of("\"embrack-plan\"", "\"shopping-list\"", "format: must be \"embrack-plan\"; this is some other file"),
                Arguments.of("\"version\" : 1", "\"version\" : 2",
                        "version: is 2, written by a newer Embrack; this one reads up to version 1. Update Embrack to read it"),
                Arguments.of("\"name\" : \"Mute board\"", "\"name\" : \"\"", "name: Write a name; it is empty."),
                Arguments.of("\"name\" : \"Vocal mixer\"", "\"name\" : \"Voice board\"", "devices[1]: two devices are called \"Voice board\""),
                Arguments.of("\"name\" : \"Vocal mixer\"", "\"name\" : \"Vocal <b>mixer</b>\"", "devices[1].name: Leave out < and >; a name is plain text."),
                Arguments.of("\"receive-channel\" : 2", "\"receive-channel\" : 17",
                        "devices[1].settings.receive-channel: MIDI receive channel goes from 1 to 16; 17 is not on the box."),
                Arguments.of("\"receive-channel\" : 2", "\"receive-channel\" : \"two\"",
                        "devices[1].settings.receive-channel: must be a whole number, was the text \"two\""),
                Arguments.of("\"receive-channel\" : 2", "\"colour\" : 2", "devices[1].settings.colour: Rack mixer, 24 strips has no such setting"),
                Arguments.of("\"in-1\" : \"Vocal mic\"", "\"in-99\" : \"Vocal mic\"", "devices[1].labels.in-99: Rack mixer, 24 strips has no such part"),
                Arguments.of("\"model\" : \"rack-mixer-24\"", "\"model\" : \"other\"", "devices[1].model: there is no model \"other\" in this file"),
                Arguments.of("\"value\" : 127", "\"value\" : 128", "models[1].chart[0]: value must be 0 to 127, was 128"),
                Arguments.of("\"value\" : 127", "\"value\" : -1", "models[1].chart[0]: value must be 0 to 127, was -1"),
                Arguments.of("\"number\" : 40", "\"number\" : 128", "models[1].chart[0]: a run of 24 numbers from 128 leaves 0 to 127"),
                Arguments.of("\"number\" : 40", "\"number\" : 40, \"colour\" : 1", "models[1].chart[0].colour: is not a field of this format;"
                        + " known here are count, first, number, type, value, verb"),
                Arguments.of("\"direction\" : \"out\"", "\"direction\" : \"sideways\"", "models[0].ports[0].direction: must be one of in, out, thru, was \"sideways\""),
                Arguments.of("\"port\" : \"in\"", "\"port\" : \"thru\"", "cables[0]: Voice board MIDI OUT and Vocal mixer MIDI THRU both send."
                        + " A cable goes from OUT or THRU to IN."),
                Arguments.of("\"switch\" : 4", "\"switch\" : 5", "switches[3]: Voice board has 4 switches in a bank, so there is no switch 5"),
                Arguments.of("\"switch\" : 4", "\"switch\" : 3", "switches: switch 3 in bank 1 of \"voice-board\" is there twice"),
                Arguments.of("\"verb\" : \"mute\",\n          \"part\" : \"main\"", "\"verb\" : \"shout\", \"part\" : \"main\"",
                        "switches[3].steps[0].verb: \"shout\" is none of the verbs mute, open and toggle-mute"),
                Arguments.of("\"device\" : \"vocal-mixer\",\n          \"verb\" : \"mute\",\n          \"part\" : \"main\"",
                        "\"device\" : \"gone\", \"verb\" : \"mute\", \"part\" : \"main\"", "switches[3].steps[0].device: there is no device \"gone\" in this rig"),
                Arguments.of("\"cables\" : [", "\"cables\" : [ 3,", "cables[0]: must be an object in braces, was the number 3"),
                Arguments.of("\"name\" : \"Mute board\",", "", "name: is missing"),
                Arguments.of("\"name\" : \"Mute board\",", "\"name\" : \"Mute board\", \"name\" : \"Twice\",",
                        "line 4, column 32: is not JSON: Duplicate Object property \"name\""));
    }

    @ParameterizedTest
    @MethodSource("broken")
    void whatIsWrongIsSaidWithItsPlace(String old, String replacement, String problem) {
        assertThat(CLEAN).contains(old);
        String file = CLEAN.replaceFirst(Pattern.quote(old), Matcher.quoteReplacement(replacement));
        assertThatExceptionOfType(UnreadablePlan.class).isThrownBy(() -> PlanFile.read(file))
                .satisfies(e -> assertThat(e.problems()).first().asString().isEqualTo(problem));
    }

    @Test
    void allProblemsOfAListAreTold() {
        String file = CLEAN.replace("\"count\" : 24", "\"count\" : 25");
        assertThatExceptionOfType(UnreadablePlan.class).isThrownBy(() -> PlanFile.read(file.replace("\"number\" : 40", "\"number\" : 127")))
                .satisfies(e -> assertThat(e.problems()).extracting(p -> p.where())
                        .containsExactly("models[1].chart[0]", "models[1].chart[1]"));
        String twoModels = CLEAN.replace("\"direction\" : \"out\"", "\"direction\" : \"up\"").replace("\"direction\" : \"in\"", "\"direction\" : \"down\"");
        assertThatExceptionOfType(UnreadablePlan.class).isThrownBy(() -> PlanFile.read(twoModels))
                .satisfies(e -> assertThat(e.problems()).extracting(p -> p.where())
                        .containsExactly("models[0].ports[0].direction", "models[1].ports[0].direction"));
    }

    @Test
    void nonsenseIsRefusedAndNeverBreaksTheReader() {
        assertProblem("".getBytes(StandardCharsets.UTF_8), "the file");
        assertProblem("{".getBytes(StandardCharsets.UTF_8), "line 1");
        assertProblem("[]".getBytes(StandardCharsets.UTF_8), "the file");
        assertProblem("[".repeat(100_000).getBytes(StandardCharsets.UTF_8), "");
        byte[] large = new byte[20 << 20];
        assertProblem(large, "the file");
        Random random = new Random(7);
        byte[] clean = CLEAN.getBytes(StandardCharsets.UTF_8);
        for (int i = 0; i < 500; i++) {
            byte[] damaged = clean.clone();
            damaged[random.nextInt(damaged.length)] = (byte) random.nextInt();
            try {
                PlanFile.read(damaged);
            } catch (UnreadablePlan e) {
                assertThat(e.problems()).allMatch(p -> !p.where().isBlank() && !p.what().isBlank());
            }
        }
    }

    private static void assertProblem(byte[] file, String where) {
        UnreadablePlan e = catchThrowableOfType(UnreadablePlan.class, () -> PlanFile.read(file));
        assertThat(e.problems()).first().asString().startsWith(where);
    }

    private static Schema schema() {
        try (InputStream in = PlanFile.class.getResourceAsStream("/embrack/files/schema/plan-1.schema.json")) {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(new String(in.readAllBytes(), StandardCharsets.UTF_8), InputFormat.JSON);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
