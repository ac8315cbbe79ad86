package embrack.files.json;

import java.util.Optional;
import java.util.function.BiConsumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a field can hold: how it is read and written, and what a schema says of it.
 *
 * @param <C> what has to be known for reading, such as the devices that stand before
 * @param <V> what it is in core
 */
public interface Shape<C, V> {

    /**
     * The value of a field that is there or must be.
     *
     * @param before what was read of the same object before it
     */
    V read(Fields fields, String name, Given<? extends C> before);

    JsonNode write(V value);

    /** What JSON Schema 2020-12 says of it; what has a name of its own is put among the definitions. */
    ObjectNode schema(Definitions definitions);

    /** What it holds, in a few words for people: "a list of [steps](#step)". */
    String holds();

    /** The layout of the objects that it holds, where it holds any. */
    default Optional<Layout<?, ?>> layout() {
        return Optional.empty();
    }

    /** The same, with something to be done as soon as the value is read. */
    default Shape<C, V> then(BiConsumer<C, V> done) {
        return Shapes.then(this, done);
    }
}
