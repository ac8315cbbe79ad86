package embrack.files.json;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What is published of a format, made from its layout: the schema for machines, tables of fields for people. */
public final class Published {

    private final Layout<?, ?> file;
    private final Map<String, Layout<?, ?>> layouts = new LinkedHashMap<>();

    /** Of the files of that layout. */
    public Published(Layout<?, ?> file) {
        this.file = file;
        gather(file);
    }

    private void gather(Layout<?, ?> layout) {
        List<Layout<?, ?>> within = new ArrayList<>();
        if (layouts.putIfAbsent(layout.name(), layout) == null) {
            layout.entries().forEach(entry -> entry.shape().layout().ifPresent(within::add));
        }
        within.forEach(this::gather);
    }

    /** The schema (JSON Schema 2020-12), as the text of a file. */
    public String schema(String id, String title) {
        var definitions = new Definitions();
        ObjectNode schema = JsonNodeFactory.instance.objectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema")
                .put("$id", id)
                .put("title", title);
        schema.setAll(file.schema(definitions));
        schema.set("$defs", definitions.all());
        return JsonFile.write(schema);
    }

    /**
     * The tables of fields (Markdown), a section for each kind of object.
     *
     * @param told sections that stand elsewhere already, by name
     */
    public String tables(List<String> told) {
        return layouts.values().stream()
                .filter(layout -> !told.contains(layout.name()))
                .map(Published::table)
                .collect(Collectors.joining("\n"));
    }

    /** The names of all kinds of object that are in these files. */
    public List<String> names() {
        return List.copyOf(layouts.keySet());
    }

    private static String table(Layout<?, ?> layout) {
        Stream<String> rows = layout.entries().stream()
                .map(entry -> "| `%s`%s | %s | %s |"
                        .formatted(
                                entry.name(),
                                entry.needed() ? "" : " *",
                                entry.shape().holds(),
                                entry.words()));
        return Stream.concat(
                        Stream.of(
                                "## " + layout.name(),
                                "",
                                layout.words(),
                                "",
                                "| field | holds | what it is |",
                                "| --- | --- | --- |"),
                        rows)
                .collect(Collectors.joining("\n", "", "\n"));
    }
}
