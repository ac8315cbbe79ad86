package embrack.files.json;

import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A text that stands for something.
 *
 * @param name what it is called among the definitions of a schema
 * @param words what it is
 * @param rule what a schema says of it beside its type
 * @param parse refuses with words for a person what is no such text
 */
public record Text<V>(String name, String words, JsonNode rule, Function<String, V> parse, Function<V, String> print)
        implements Shape<Object, V> {

    @Override
    public V read(Fields fields, String field, Given<?> before) {
        return fields.text(field, parse);
    }

    @Override
    public JsonNode write(V value) {
        return JsonNodeFactory.instance.stringNode(print.apply(value));
    }

    @Override
    public ObjectNode schema(Definitions definitions) {
        return definitions.reference(name, this, () -> {
            ObjectNode schema = JsonNodeFactory.instance.objectNode();
            schema.put("description", words).put("type", "string");
            schema.setAll((ObjectNode) rule);
            return schema;
        });
    }

    @Override
    public String holds() {
        return words;
    }
}
