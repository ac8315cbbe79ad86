package embrack.files.json;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What a schema says once and refers to by name. */
public final class Definitions {

    private static final String AT = "#/$defs/";

    private final Map<String, ObjectNode> byName = new LinkedHashMap<>();
    private final Map<String, Object> meant = new HashMap<>();

    Definitions() {}

    /**
     * A reference to a definition, which is made when it is asked for the first time.
     *
     * @param what whose definition it is; two things of one name are a mistake
     */
    ObjectNode reference(String name, Object what, Supplier<ObjectNode> definition) {
        Object known = meant.putIfAbsent(name, what);
        if (known == null) {
            byName.put(name, JsonNodeFactory.instance.objectNode());
            byName.put(name, definition.get());
        } else if (!known.equals(what)) {
            throw new IllegalStateException("two shapes are called \"%s\"".formatted(name));
        }
        return JsonNodeFactory.instance.objectNode().put("$ref", AT + name);
    }

    ObjectNode all() {
        ObjectNode all = JsonNodeFactory.instance.objectNode();
        byName.forEach(all::set);
        return all;
    }
}
