package embrack.files.json;

import embrack.files.json.UnreadableFile.Problem;
import java.util.List;
import java.util.function.Function;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.util.DefaultIndenter;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** JSON files of a size and depth that nobody need fear. */
public final class JsonFile {

    /** The largest file that is looked into, in bytes; a plan of 300 songs of 83 cues has 11 MB. */
    public static final int MAX_BYTES = 16 << 20;

    /** As many braces, names and values as are looked at, since each takes more room in memory than in the file. */
    private static final long MAX_TOKENS = 1_500_000;

    /** What was stored by an Embrack with larger limits can still be read. */
    private static final long MAX_TOKENS_KEPT = 20_000_000;

    private static final JsonMapper JSON = mapper(MAX_TOKENS);
    private static final JsonMapper KEPT = mapper(MAX_TOKENS_KEPT);

    private static final DefaultIndenter INDENT = new DefaultIndenter("  ", "\n");

    private JsonFile() {}

    /**
     * Reads a file.
     *
     * @param what what it should be: "a plan"
     * @throws UnreadableFile with everything that is wrong with it
     */
    public static <T> T read(byte[] file, String what, Function<Fields, T> reader) {
        if (file.length > MAX_BYTES) {
            throw unreadable(
                    "the file", "has %1$d.0 MB or more; %2$s has at most %1$d MB".formatted(MAX_BYTES >> 20, what));
        }
        return Fields.read(tree(JSON, file), reader);
    }

    /**
     * As {@link #read}, for what Embrack wrote and kept itself, of whatever size it was allowed to have then.
     *
     * @throws UnreadableFile with everything that is wrong with it
     */
    public static <T> T readKept(byte[] file, Function<Fields, T> reader) {
        return Fields.read(tree(KEPT, file), reader);
    }

    /** Writes a document; the same document always gives the same text, which ends in a line break. */
    public static String write(JsonNode document) {
        var printer = new DefaultPrettyPrinter().withObjectIndenter(INDENT).withArrayIndenter(INDENT);
        return JSON.writer().with(printer).writeValueAsString(document) + "\n";
    }

    private static JsonMapper mapper(long maxTokens) {
        return JsonMapper.builder(JsonFactory.builder()
                        .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                        .streamReadConstraints(StreamReadConstraints.builder()
                                .maxNestingDepth(32)
                                .maxNumberLength(40)
                                .maxStringLength(100_000)
                                .maxTokenCount(maxTokens)
                                .build())
                        .build())
                .build();
    }

    private static JsonNode tree(JsonMapper mapper, byte[] file) {
        try {
            return mapper.readTree(file);
        } catch (JacksonException e) {
            String where = e.getLocation() == null
                    ? "the file"
                    : "line %d, column %d"
                            .formatted(
                                    e.getLocation().getLineNr(), e.getLocation().getColumnNr());
            throw unreadable(
                    where,
                    "is not JSON: " + e.getOriginalMessage().lines().findFirst().orElse(""));
        }
    }

    private static UnreadableFile unreadable(String where, String what) {
        return new UnreadableFile(List.of(new Problem(where, what)));
    }
}
