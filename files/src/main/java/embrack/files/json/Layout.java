package embrack.files.json;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The fields of one kind of object, said once: in the order in which they are written, with what each holds. Reader,
 * writer, schema and documentation all come from it.
 *
 * @param <C> what has to be known for reading
 * @param <T> what the object is in core
 */
public final class Layout<C, T> {

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final String name;
    private final String words;
    private final List<Entry<C, T>> entries;
    private final List<List<String>> alternatives;
    private final Function<Given<C>, T> maker;

    private Layout(String name, String words, Table<C, T> table, Function<Given<C>, T> maker) {
        this.name = name;
        this.words = words;
        this.entries = List.copyOf(table.entries);
        this.alternatives = List.copyOf(table.alternatives);
        this.maker = maker;
    }

    /** One field: how it is read and written, and what is said of it. */
    record Entry<C, T>(
            String name,
            Shape<?, ?> shape,
            boolean needed,
            String words,
            BiFunction<Fields, Given<C>, Object> reader,
            Function<T, Optional<JsonNode>> writer) {}

    /**
     * A layout.
     *
     * @param name what such an object is called, in the form of an id
     * @param words what it is
     * @param declaration declares the fields and gives back what makes the object of their values
     */
    public static <C, T> Layout<C, T> of(
            String name, String words, Function<Table<C, T>, Function<Given<C>, T>> declaration) {
        Table<C, T> table = new Table<>();
        Function<Given<C>, T> maker = declaration.apply(table);
        return new Layout<>(name, words, table, maker);
    }

    /** Where the fields of a layout are declared. */
    public static final class Table<C, T> {

        private final List<Entry<C, T>> entries = new ArrayList<>();
        private final List<List<String>> alternatives = new ArrayList<>();

        private Table() {}

        /** What kind of file this is, and its newest version; both stand first. */
        public void file(String format, int version) {
            entries.add(new Entry<>(
                    "format",
                    Shapes.constant(NODES.stringNode(format)),
                    true,
                    "what kind of file it is",
                    (fields, before) -> fields.requireVersion(format, version),
                    value -> Optional.of(NODES.stringNode(format))));
            entries.add(new Entry<>(
                    "version",
                    Shapes.constant(NODES.numberNode(version)),
                    true,
                    "of the format",
                    (fields, before) -> fields.version(),
                    value -> Optional.of(NODES.numberNode(version))));
        }

        /** A field that every object has. */
        public <V> Field<V> needs(String name, Shape<? super C, V> shape, String words, Function<T, V> of) {
            return add(
                    name,
                    shape,
                    true,
                    words,
                    (fields, before) -> shape.read(fields, name, before),
                    value -> Optional.of(of.apply(value)));
        }

        /** As {@link #needs}, of a field that had another name up to a version. */
        public <V> Field<V> needs(
                String name, String formerly, int upTo, Shape<? super C, V> shape, String words, Function<T, V> of) {
            return add(
                    name,
                    shape,
                    true,
                    words,
                    (fields, before) -> shape.read(fields, fields.version() <= upTo ? formerly : name, before),
                    value -> Optional.of(of.apply(value)));
        }

        /** A field that may be missing. */
        public <V> Field<Optional<V>> may(
                String name, Shape<? super C, V> shape, String words, Function<T, Optional<V>> of) {
            return add(
                    name,
                    shape,
                    false,
                    words,
                    (fields, before) ->
                            fields.holds(name) ? Optional.of(shape.read(fields, name, before)) : Optional.empty(),
                    of);
        }

        /** A field that is left out where its value is the usual one. */
        public <V> Field<V> or(String name, Shape<? super C, V> shape, V usual, String words, Function<T, V> of) {
            return either(name, shape, usual, words, value -> {
                V held = of.apply(value);
                return held.equals(usual) ? Optional.empty() : Optional.of(held);
            });
        }

        /** A field that is read as the usual value where it is missing; the last argument says what is written. */
        public <V> Field<V> either(
                String name, Shape<? super C, V> shape, V usual, String words, Function<T, Optional<V>> of) {
            return add(
                    name,
                    shape,
                    false,
                    words,
                    (fields, before) -> fields.holds(name) ? shape.read(fields, name, before) : usual,
                    of);
        }

        /** Exactly one of these fields is there. */
        public void oneOf(Field<?>... fields) {
            alternatives.add(Stream.of(fields).map(Field::name).toList());
        }

        private <V, H> Field<H> add(
                String name,
                Shape<? super C, V> shape,
                boolean needed,
                String words,
                BiFunction<Fields, Given<C>, H> reader,
                Function<T, Optional<V>> of) {
            entries.add(new Entry<>(
                    name,
                    shape,
                    needed,
                    words,
                    reader::apply,
                    value -> of.apply(value).map(shape::write)));
            return new Field<>(name, entries.size() - 1);
        }
    }

    /** The object that these fields are. */
    public T read(Fields fields, C context) {
        Given<C> given = new Given<>(fields, context, entries.size());
        for (int i = 0; i < entries.size(); i++) {
            given.put(i, entries.get(i).reader().apply(fields, given));
        }
        return fields.fit(() -> maker.apply(given));
    }

    /** The fields of an object, always in the same order. */
    public ObjectNode write(T value) {
        ObjectNode object = NODES.objectNode();
        entries.forEach(entry -> entry.writer().apply(value).ifPresent(node -> object.set(entry.name(), node)));
        return object;
    }

    /** What such an object is called. */
    public String name() {
        return name;
    }

    String words() {
        return words;
    }

    List<Entry<C, T>> entries() {
        return entries;
    }

    ObjectNode reference(Definitions definitions) {
        return definitions.reference(name, this, () -> schema(definitions));
    }

    ObjectNode schema(Definitions definitions) {
        ObjectNode schema = NODES.objectNode();
        schema.put("description", words);
        schema.put("type", "object");
        schema.put("additionalProperties", false);
        ArrayNode required = schema.putArray("required");
        entries.stream().filter(Entry::needed).map(Entry::name).forEach(required::add);
        for (List<String> names : alternatives) {
            ArrayNode one = schema.putArray("oneOf");
            names.forEach(each -> one.addObject().putArray("required").add(each));
        }
        ObjectNode properties = schema.putObject("properties");
        entries.forEach(entry -> {
            ObjectNode property = entry.shape().schema(definitions);
            properties.set(entry.name(), property.put("description", entry.words()));
        });
        return schema;
    }
}
