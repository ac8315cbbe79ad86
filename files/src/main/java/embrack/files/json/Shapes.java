package embrack.files.json;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What fields hold, but for texts and objects, which have classes of their own. */
public final class Shapes {

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private Shapes() {}

    /** A shape that is read, written and described by what is given here. */
    private record Made<C, V>(
            Reader<C, V> reader,
            Function<V, JsonNode> writer,
            Described described,
            String holds,
            Optional<Layout<?, ?>> layout)
            implements Shape<C, V> {

        Made(Reader<C, V> reader, Function<V, JsonNode> writer, Described described, String holds) {
            this(reader, writer, described, holds, Optional.empty());
        }

        @Override
        public V read(Fields fields, String name, Given<? extends C> before) {
            return reader.read(fields, name, before);
        }

        @Override
        public JsonNode write(V value) {
            return writer.apply(value);
        }

        @Override
        public ObjectNode schema(Definitions definitions) {
            return described.schema(definitions);
        }
    }

    /** Reads a field. */
    @FunctionalInterface
    public interface Reader<C, V> {
        V read(Fields fields, String name, Given<? extends C> before);
    }

    /** Describes what a field holds. */
    @FunctionalInterface
    public interface Described {
        ObjectNode schema(Definitions definitions);
    }

    static Shape<Object, JsonNode> constant(JsonNode value) {
        return new Made<>(
                (fields, name, before) -> value,
                same -> same,
                definitions -> NODES.objectNode().set("const", value),
                "`%s`".formatted(value));
    }

    /** A whole number; what lies outside its range is refused by what is made of it. */
    public static Shape<Object, Integer> whole(int min, int max) {
        return whole(
                NODES.objectNode().put("type", "integer").put("minimum", min).put("maximum", max),
                "%d to %d".formatted(min, max));
    }

    /** A whole number from that one on. */
    public static Shape<Object, Integer> wholeFrom(int min) {
        return whole(NODES.objectNode().put("type", "integer").put("minimum", min), "a whole number from " + min);
    }

    /** Any whole number. */
    public static Shape<Object, Integer> whole() {
        return whole(NODES.objectNode().put("type", "integer"), "a whole number");
    }

    private static Shape<Object, Integer> whole(ObjectNode schema, String holds) {
        return new Made<>(
                (fields, name, before) -> fields.integer(name),
                NODES::numberNode,
                definitions -> schema.deepCopy(),
                holds);
    }

    /** True or false. */
    public static Shape<Object, Boolean> truth() {
        return new Made<>(
                (fields, name, before) -> fields.bool(name),
                NODES::booleanNode,
                definitions -> NODES.objectNode().put("type", "boolean"),
                "true or false");
    }

    /** Whole numbers in a list. */
    public static Shape<Object, List<Integer>> wholes(int min, int max) {
        return new Made<>(
                (fields, name, before) -> fields.integers(name),
                numbers -> array(numbers, NODES::numberNode),
                definitions -> list(whole(min, max).schema(definitions)),
                "a list of %d to %d".formatted(min, max));
    }

    /** One of some constants, by the words that stand for them. */
    public static <E extends Enum<E>> Shape<Object, E> word(Map<String, E> words) {
        return new Made<>(
                (fields, name, before) -> fields.oneOf(name, words),
                constant -> NODES.stringNode(said(words, constant)),
                definitions -> choice(words),
                choices(words));
    }

    /** Several of some constants, in a list. */
    public static <E extends Enum<E>> Shape<Object, SortedSet<E>> words(Map<String, E> words) {
        return new Made<>(
                (fields, name, before) -> new TreeSet<>(fields.severalOf(name, words)),
                constants -> array(constants, constant -> NODES.stringNode(said(words, constant))),
                definitions -> list(choice(words)),
                "a list of " + choices(words));
    }

    /** Texts in a list. */
    public static <V> Shape<Object, List<V>> texts(Text<V> text, int least, int most) {
        return new Made<>(
                (fields, name, before) -> {
                    List<String> texts = fields.texts(name);
                    return fields.fit(
                            name, () -> texts.stream().map(text.parse()).toList());
                },
                values -> array(values, text::write),
                definitions -> least(list(text.schema(definitions)), least, most),
                "a list, each " + text.words());
    }

    /** An object of that layout. */
    public static <C, V> Shape<C, V> one(Layout<? super C, V> layout) {
        return new Made<>(
                (fields, name, before) -> fields.object(name, f -> layout.read(f, before.context())),
                layout::write,
                layout::reference,
                "[%s](#%s)".formatted(spaced(layout), layout.name()),
                Optional.of(layout));
    }

    /** A list of objects of that layout. */
    public static <C, V> Shape<C, List<V>> list(Layout<? super C, V> layout, int most) {
        return list(layout, most, Given::context);
    }

    /**
     * A list of objects of a layout that has to know more.
     *
     * @param context makes that of what was read before
     */
    public static <C, D, V> Shape<C, List<V>> list(
            Layout<? super D, V> layout, int most, Function<Given<? extends C>, D> context) {
        return new Made<>(
                (fields, name, before) -> {
                    D known = context.apply(before);
                    return fields.objects(name, most, f -> layout.read(f, known));
                },
                values -> array(values, layout::write),
                definitions -> least(list(layout.reference(definitions)), 0, most),
                "a list: [%s](#%s)".formatted(spaced(layout), layout.name()),
                Optional.of(layout));
    }

    /** An object whose fields have names of their own choice, such as the settings of a device. */
    public static <C, K extends Comparable<K>, V> Shape<C, SortedMap<K, V>> keyed(
            Text<K> key, Shape<Object, V> value, Reader<C, Map.Entry<K, V>> reader) {
        return new Made<>(
                (fields, name, before) -> {
                    SortedMap<K, V> values = new TreeMap<>();
                    fields.eachField(name, (each, field) -> {
                        Map.Entry<K, V> entry = reader.read(each, field, before);
                        return values.put(entry.getKey(), entry.getValue());
                    });
                    return values;
                },
                values -> {
                    ObjectNode object = NODES.objectNode();
                    values.forEach((k, v) -> object.set(key.print().apply(k), value.write(v)));
                    return object;
                },
                definitions -> {
                    ObjectNode schema = NODES.objectNode().put("type", "object");
                    schema.set("propertyNames", key.schema(definitions));
                    schema.set("additionalProperties", value.schema(definitions));
                    return schema;
                },
                "by " + key.words() + ": " + value.holds());
    }

    /** As another shape, with something that is done as soon as a value is read. */
    static <C, V> Shape<C, V> then(Shape<C, V> shape, BiConsumer<C, V> done) {
        return readAs(shape, (fields, name, before) -> {
            V value = shape.read(fields, name, before);
            done.accept(before.context(), value);
            return value;
        });
    }

    /** As another shape, read in a way of its own. */
    public static <C, V> Shape<C, V> readAs(Shape<?, V> shape, Reader<C, V> reader) {
        return new Made<>(reader, shape::write, shape::schema, shape.holds(), shape.layout());
    }

    /** As another shape, of something that is made of it. */
    public static <C, V, W> Shape<C, W> as(Shape<C, V> shape, Function<V, W> from, Function<W, V> to) {
        return new Made<>(
                (fields, name, before) -> {
                    V value = shape.read(fields, name, before);
                    return fields.fit(name, () -> from.apply(value));
                },
                value -> shape.write(to.apply(value)),
                shape::schema,
                shape.holds(),
                shape.layout());
    }

    private static <V> ArrayNode array(Collection<V> values, Function<V, ? extends JsonNode> writer) {
        ArrayNode array = NODES.arrayNode();
        values.forEach(value -> array.add(writer.apply(value)));
        return array;
    }

    private static ObjectNode list(ObjectNode items) {
        ObjectNode schema = NODES.objectNode().put("type", "array");
        schema.set("items", items);
        return schema;
    }

    private static ObjectNode least(ObjectNode schema, int least, int most) {
        if (least > 0) {
            schema.put("minItems", least);
        }
        return schema.put("maxItems", most);
    }

    private static <E extends Enum<E>> ObjectNode choice(Map<String, E> words) {
        ObjectNode schema = NODES.objectNode();
        ArrayNode choices = schema.putArray("enum");
        inOrder(words).forEach(choices::add);
        return schema;
    }

    private static <E extends Enum<E>> String choices(Map<String, E> words) {
        return inOrder(words).stream().map("`%s`"::formatted).collect(Collectors.joining(", "));
    }

    private static <E extends Enum<E>> List<String> inOrder(Map<String, E> words) {
        return words.entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .toList();
    }

    private static <E extends Enum<E>> String said(Map<String, E> words, E constant) {
        return words.entrySet().stream()
                .filter(entry -> entry.getValue() == constant)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(constant + " has no word in this format"));
    }

    private static String spaced(Layout<?, ?> layout) {
        return layout.name().replace('-', ' ');
    }
}
