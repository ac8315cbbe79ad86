package embrack.files.model;

import embrack.core.chart.Chart;
import embrack.core.chart.ChartReading;
import embrack.files.json.Definitions;
import embrack.files.json.Fields;
import embrack.files.json.Given;
import embrack.files.json.Shape;
import embrack.files.json.UnreadableFile.Problem;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A chart as a list of the lines of its text; each line that cannot be read is a problem of its own. */
final class ChartShape implements Shape<Object, Chart> {

    static final ChartShape LINES = new ChartShape();

    private static final String WORDS = "the lines of a [chart](formats.md#the-chart-as-text)";

    private ChartShape() {}

    @Override
    public Chart read(Fields fields, String name, Given<?> before) {
        List<String> lines = fields.texts(name);
        ChartReading reading = fields.fit(name, () -> {
            if (lines.stream().anyMatch(line -> line.lines().count() > 1)) {
                throw new IllegalArgumentException("holds a line break; each line of the chart is a text of its own");
            }
            return ChartReading.of(String.join("\n", lines));
        });
        return reading.chart()
                .orElseThrow(() -> fields.abandon(reading.errors().stream()
                        .map(p -> new Problem(
                                "%s[%d]".formatted(fields.path(name), p.line() - 1),
                                "column %d: %s".formatted(p.column(), p.words())))
                        .toList()));
    }

    @Override
    public JsonNode write(Chart chart) {
        ArrayNode lines = JsonNodeFactory.instance.arrayNode();
        chart.text().lines().forEach(lines::add);
        return lines;
    }

    @Override
    public ObjectNode schema(Definitions definitions) {
        return JsonNodeFactory.instance
                .objectNode()
                .put("type", "array")
                .put("maxItems", ChartReading.MAX_ROWS)
                .set(
                        "items",
                        Texts.pattern("^[^\\r\\n]*$").put("type", "string").put("maxLength", 1_000));
    }

    @Override
    public String holds() {
        return WORDS;
    }
}
