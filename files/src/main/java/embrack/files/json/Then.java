package embrack.files.json;

import java.util.Optional;
import java.util.function.BiConsumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A shape, and what is done as soon as its value is read. */
record Then<C, V>(Shape<C, V> shape, BiConsumer<C, V> done) implements Shape<C, V> {

    @Override
    public V read(Fields fields, String name, Given<? extends C> before) {
        V value = shape.read(fields, name, before);
        done.accept(before.context(), value);
        return value;
    }

    @Override
    public JsonNode write(V value) {
        return shape.write(value);
    }

    @Override
    public ObjectNode schema(Definitions definitions) {
        return shape.schema(definitions);
    }

    @Override
    public String holds() {
        return shape.holds();
    }

    @Override
    public Optional<Layout<?, ?>> layout() {
        return shape.layout();
    }
}
