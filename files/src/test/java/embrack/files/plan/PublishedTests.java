package embrack.files.plan;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import embrack.files.json.Published;
import embrack.files.json.UnreadableFile;
import embrack.files.model.ModelFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.core.JsonPointer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What is published of the formats says what is read and written, since both come from the same layouts. */
class PublishedTests {

    private static final Published PLAN = PlanFile.published();
    private static final Published MODEL = ModelFile.published();

    private static final JsonMapper JSON = new JsonMapper();

    private static Stream<Map.Entry<String, String>> published() {
        int plan = PlanFile.VERSION;
        int model = ModelFile.VERSION;
        return Stream.of(
                Map.entry(
                        PlanFile.SCHEMA.substring(1),
                        PLAN.schema("urn:embrack:plan:" + plan, "Embrack plan, version " + plan)),
                Map.entry(
                        ModelFile.SCHEMA.substring(1),
                        MODEL.schema("urn:embrack:model:" + model, "Embrack model, version " + model)),
                Map.entry("fields.md", """
                        # The fields of plan files and model files

                        Made from the layouts that Embrack reads and writes by, which a test holds. A field with *
                        may be missing. What texts, versions and limits there are is said in [formats.md](formats.md).

                        """ + PLAN.tables(List.of()) + "\n" + MODEL.tables(PLAN.names())));
    }

    /** Where one differs, what it should be stands in {@code files/target/published}, to be copied to {@code docs}. */
    @ParameterizedTest
    @MethodSource("published")
    void whatIsPublishedIsWhatIsRead(Map.Entry<String, String> file) throws IOException {
        Path made = Path.of("target/published").resolve(file.getKey());
        Files.createDirectories(made.getParent());
        Files.writeString(made, file.getValue());
        assertThat(Path.of("../docs").resolve(file.getKey())).hasContent(file.getValue());
    }

    /** Each kind of place in a whole plan, with each of these instead of what stands there. */
    @Test
    void whatTheSchemaRefusesTheReaderRefuses() throws IOException {
        Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(PLAN.schema("urn:embrack:plan", "Plan"), InputFormat.JSON);
        JsonNode plan = JSON.readTree(Files.readString(Path.of("../docs/examples/quay-rig.json")));
        Map<String, String> places = new TreeMap<>();
        gather(plan, "", "", places);
        assertThat(places).hasSizeGreaterThan(120);
        List<String> read = new ArrayList<>();
        for (String place : places.values()) {
            JsonPointer at = JsonPointer.compile(place);
            for (String junk : List.of("-1", "20001", "\"\"", "\"Up & down\"", "true")) {
                JsonNode damaged = plan.deepCopy();
                put(damaged, at, JSON.readTree(junk));
                String text = damaged.toString();
                if (!schema.validate(text, InputFormat.JSON).isEmpty() && isRead(text)) {
                    read.add(place + " as " + junk);
                }
            }
        }
        assertThat(read).isEmpty();
    }

    private static void gather(JsonNode node, String place, String kind, Map<String, String> places) {
        if (node.isContainer() && !node.isEmpty()) {
            for (Map.Entry<String, JsonNode> field : node.properties()) {
                String name = field.getKey().replace("/", "~1");
                gather(field.getValue(), place + "/" + name, kind + "/" + name, places);
            }
            for (int i = 0; i < (node.isArray() ? node.size() : 0); i++) {
                gather(node.get(i), place + "/" + i, kind + "/*", places);
            }
        } else {
            places.putIfAbsent(kind.replaceAll("(settings|labels)/[^*].*", "$1/key"), place);
        }
    }

    private static void put(JsonNode root, JsonPointer at, JsonNode value) {
        JsonNode parent = root.at(at.head());
        if (parent instanceof ObjectNode object) {
            object.set(at.last().getMatchingProperty(), value);
        } else {
            ((ArrayNode) parent).set(at.last().getMatchingIndex(), value);
        }
    }

    private static boolean isRead(String text) {
        try {
            PlanFile.read(text);
            return true;
        } catch (UnreadableFile e) {
            return false;
        }
    }
}
