package embrack.files.plan;

import embrack.core.plan.Plan;
import embrack.files.plan.UnreadablePlan.Problem;
import java.nio.charset.StandardCharsets;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.util.DefaultIndenter;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Plans as files: one JSON document that holds a plan and everything it needs. */
public final class PlanFile {

    /** What the field "format" says. */
    public static final String FORMAT = "embrack-plan";

    /** The version that is written, and the newest that can be read. */
    public static final int VERSION = 1;

    /** The largest file that is looked into; a plan of 200 boxes is smaller. */
    public static final int MAX_BYTES = 4 << 20;

    private static final JsonMapper JSON = JsonMapper.builder(JsonFactory.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .streamReadConstraints(StreamReadConstraints.builder()
                    .maxNestingDepth(32).maxNumberLength(40).maxStringLength(100_000).build())
            .build()).build();

    private static final DefaultIndenter INDENT = new DefaultIndenter("  ", "\n");

    private PlanFile() {
    }

    /**
     * Reads a plan.
     *
     * @throws UnreadablePlan when it is not a plan of a version that is known, or anything in it is not as it should be
     */
    public static Plan read(byte[] file) {
        if (file.length > MAX_BYTES) {
            throw unreadable("the file", "has %1$d.0 MB or more; a plan has at most %1$d MB".formatted(MAX_BYTES >> 20));
        }
        return Fields.read(tree(file), PlanReader::read);
    }

    /** As {@link #read(byte[])}, for text. */
    public static Plan read(String text) {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Writes a plan; the same plan always gives the same text, which ends in a line break. */
    public static String write(Plan plan) {
        var printer = new DefaultPrettyPrinter().withObjectIndenter(INDENT).withArrayIndenter(INDENT);
        return JSON.writer().with(printer).writeValueAsString(PlanWriter.write(plan)) + "\n";
    }

    private static JsonNode tree(byte[] file) {
        try {
            return JSON.readTree(file);
        } catch (JacksonException e) {
            String where = e.getLocation() == null ? "the file"
                    : "line %d, column %d".formatted(e.getLocation().getLineNr(), e.getLocation().getColumnNr());
            throw unreadable(where, "is not JSON: " + e.getOriginalMessage().lines().findFirst().orElse(""));
        }
    }

    private static UnreadablePlan unreadable(String where, String what) {
        return new UnreadablePlan(List.of(new Problem(where, what)));
    }
}
