package embrack.files.json;

import embrack.files.json.UnreadableFile.Problem;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;

/** One JSON object while it is read: knows where it is in the file and which of its fields were asked for. */
public final class Fields {

    /** More mistakes than anybody reads in one list. */
    private static final int MOST_PROBLEMS = 200;

    private final JsonNode node;
    private final String path;
    private final Reading reading;
    private final Set<String> asked = new HashSet<>();

    /** What is known of the whole file while it is read. */
    private static final class Reading {

        private final List<Problem> problems = new ArrayList<>();
        private final List<Runnable> accepted = new ArrayList<>();
        private int version;
    }

    private Fields(JsonNode node, String path, Reading reading) {
        this.node = node;
        this.path = path;
        this.reading = reading;
        if (!node.isObject()) {
            throw new Unfit(path.isEmpty() ? "the file" : path, "must be an object in braces, was " + kind(node));
        }
    }

    /**
     * Reads a whole file; the problems in the elements of a list are collected, so that all can be told at once.
     *
     * @throws UnreadableFile when there is any problem
     */
    static <T> T read(JsonNode root, Function<Fields, T> reader) {
        Reading reading = new Reading();
        List<Problem> problems = reading.problems;
        try {
            T result = new Fields(root, "", reading).whole(reader);
            if (problems.isEmpty()) {
                reading.accepted.forEach(Runnable::run);
                return result;
            }
        } catch (Unfit unfit) {
            problems.add(unfit.problem);
        } catch (Abandoned | Enough told) {
            // Its problems are told already.
        }
        throw new UnreadableFile(problems);
    }

    public String text(String name) {
        JsonNode value = needed(name);
        if (!value.isString()) {
            throw new Unfit(at(name), "must be text in quotes, was " + kind(value));
        }
        return value.stringValue();
    }

    /** A text that is made into something else; the maker's refusal becomes a problem of this field. */
    public <T> T text(String name, Function<String, T> maker) {
        String text = text(name);
        return fit(name, () -> maker.apply(text));
    }

    public <T> Optional<T> optionalText(String name, Function<String, T> maker) {
        return has(name) ? Optional.of(text(name, maker)) : Optional.empty();
    }

    /** One of the constants of an enum by the text that stands for it in files. */
    public <E extends Enum<E>> E oneOf(String name, Map<String, E> words) {
        return oneOf(name, text(name), words);
    }

    public <E> List<E> severalOf(String name, Map<String, E> words) {
        List<E> values = new ArrayList<>();
        elements(name, (element, i) -> values.add(oneOf(name + "[" + i + "]", element.asString(""), words)));
        return values;
    }

    public List<String> texts(String name) {
        List<String> values = new ArrayList<>();
        elements(name, (element, i) -> {
            if (!element.isString()) {
                throw new Unfit(at(name) + "[" + i + "]", "must be text in quotes, was " + kind(element));
            }
            return values.add(element.stringValue());
        });
        return values;
    }

    public int integer(String name) {
        return integer(name, needed(name));
    }

    public boolean bool(String name) {
        JsonNode value = needed(name);
        if (!value.isBoolean()) {
            throw new Unfit(at(name), "must be true or false, was " + kind(value));
        }
        return value.booleanValue();
    }

    public <T> T object(String name, Function<Fields, T> reader) {
        return new Fields(needed(name), at(name), reading).whole(reader);
    }

    public <T> Optional<T> optionalObject(String name, Function<Fields, T> reader) {
        return has(name) ? Optional.of(object(name, reader)) : Optional.empty();
    }

    /**
     * A list of objects. All of it is looked at; if any of it cannot be read, the object that holds the list is given
     * up behind it, since what comes later may refer to what is missing.
     */
    public <T> List<T> objects(String name, int most, Function<Fields, T> reader) {
        List<T> values = new ArrayList<>();
        int problemsBefore = reading.problems.size();
        if (needed(name).size() > most) {
            throw new Unfit(
                    at(name),
                    "holds %d entries; at most %d are allowed"
                            .formatted(needed(name).size(), most));
        }
        elements(name, (element, i) -> {
            try {
                return values.add(new Fields(element, at(name) + "[" + i + "]", reading).whole(reader));
            } catch (Unfit unfit) {
                return tell(unfit.problem);
            } catch (Abandoned abandoned) {
                return false;
            }
        });
        if (reading.problems.size() > problemsBefore) {
            throw new Abandoned();
        }
        return values;
    }

    /** An object whose fields have names of their own choice, such as the settings of a device; may be missing. */
    public <T> void eachField(String name, BiFunction<Fields, String, T> reader) {
        if (has(name)) {
            object(name, fields -> {
                for (String key : fields.node.propertyNames()) {
                    reader.apply(fields, key);
                }
                return fields;
            });
        }
    }

    /**
     * What this object says, read once: it is the same as whatever stood there in a file before that was read without a
     * problem and said the same.
     *
     * @param known what was read before
     * @param reader reads it by nothing but what stands in it
     */
    public <T> T once(Known<T> known, Function<Fields, T> reader) {
        Optional<T> before = known.find(node);
        if (before.isPresent()) {
            asked.addAll(node.propertyNames());
            return before.get();
        }
        T read = reader.apply(this);
        reading.accepted.add(() -> known.add(node, read));
        return read;
    }

    /** The value of a field that may be missing. */
    public int integerOr(String name, int otherwise) {
        return has(name) ? integer(name) : otherwise;
    }

    /** The value of a field that may be missing. */
    public boolean boolOr(String name, boolean otherwise) {
        return has(name) ? bool(name) : otherwise;
    }

    /** Whole numbers in a list. */
    public List<Integer> integers(String name) {
        List<Integer> values = new ArrayList<>();
        elements(name, (element, i) -> values.add(integer(name + "[" + i + "]", element)));
        return values;
    }

    /** Whether a field is there. */
    public boolean holds(String name) {
        return has(name);
    }

    /**
     * Gives this object up, for reasons that are told.
     *
     * @param problems at least one
     */
    public RuntimeException abandon(List<Problem> reasons) {
        reasons.forEach(this::tell);
        return new Abandoned();
    }

    /**
     * The version that the file says it has.
     *
     * @param format what its field "format" must say
     * @param newest the newest version that can be read; older ones down to 1 can
     */
    public int requireVersion(String format, int newest) {
        String said = text("format");
        fit("format", () -> {
            if (!said.equals(format)) {
                throw new IllegalArgumentException("must be \"%s\"; this is some other file".formatted(format));
            }
            return said;
        });
        int version = integer("version");
        reading.version = fit("version", () -> {
            if (version > newest) {
                throw new IllegalArgumentException(
                        "is %d, written by a newer Embrack; this one reads up to version %d. Update Embrack to read it"
                                .formatted(version, newest));
            }
            if (version < 1) {
                throw new IllegalArgumentException("must be at least 1, was " + version);
            }
            return version;
        });
        return reading.version;
    }

    /** The version that the file was found to have; 0 before that. */
    public int version() {
        return reading.version;
    }

    /** The path of a field of this object: {@code devices[1].name}. */
    public String path(String name) {
        return at(name);
    }

    /** What the supplier gives; its refusal as a problem of that field. */
    public <T> T fit(String name, Supplier<T> supplier) {
        try {
            return supplier.get();
        } catch (IllegalArgumentException e) {
            throw new Unfit(at(name), String.valueOf(e.getMessage()));
        }
    }

    /** What the supplier gives; its refusal as a problem of this object. */
    public <T> T fit(Supplier<T> supplier) {
        try {
            return supplier.get();
        } catch (IllegalArgumentException e) {
            throw new Unfit(path.isEmpty() ? "the file" : path, String.valueOf(e.getMessage()));
        }
    }

    private <T> T whole(Function<Fields, T> reader) {
        T result = reader.apply(this);
        for (String name : node.propertyNames()) {
            if (!asked.contains(name)) {
                tell(new Problem(
                        at(name),
                        "is not a field of this format; known here are "
                                + String.join(", ", asked.stream().sorted().toList())));
            }
        }
        return result;
    }

    private <E> E oneOf(String name, String text, Map<String, E> words) {
        return Optional.ofNullable(words.get(text))
                .orElseThrow(() -> new Unfit(
                        at(name),
                        "must be one of %s, was \"%s\""
                                .formatted(
                                        String.join(
                                                ", ",
                                                words.keySet().stream().sorted().toList()),
                                        clipped(text))));
    }

    private int integer(String name, JsonNode value) {
        if (!value.isIntegralNumber() || !value.canConvertToInt()) {
            throw new Unfit(at(name), "must be a whole number, was " + kind(value));
        }
        return value.intValue();
    }

    private void elements(String name, BiFunction<JsonNode, Integer, Boolean> reader) {
        JsonNode list = needed(name);
        if (!list.isArray()) {
            throw new Unfit(at(name), "must be a list in square brackets, was " + kind(list));
        }
        for (int i = 0; i < list.size(); i++) {
            reader.apply(list.get(i), i);
        }
    }

    private boolean has(String name) {
        asked.add(name);
        return node.has(name);
    }

    private JsonNode needed(String name) {
        if (!has(name)) {
            throw new Unfit(at(name), "is missing");
        }
        return node.get(name);
    }

    private String at(String name) {
        return path.isEmpty() ? clipped(name) : path + "." + clipped(name);
    }

    private boolean tell(Problem problem) {
        if (reading.problems.size() >= MOST_PROBLEMS) {
            throw new Enough();
        }
        return reading.problems.add(problem);
    }

    private static String kind(JsonNode value) {
        return switch (value.getNodeType()) {
            case OBJECT, POJO -> "an object";
            case ARRAY -> "a list";
            case STRING, BINARY -> "the text \"" + clipped(value.asString()) + "\"";
            case NUMBER -> "the number " + clipped(value.asString());
            case BOOLEAN -> value.asString();
            case NULL, MISSING -> "null";
        };
    }

    private static String clipped(String text) {
        return text.length() <= 60 ? text : text.substring(0, 60) + "...";
    }

    /** An object is given up, since a list in it could not be read; the problems are told already. */
    private static final class Abandoned extends RuntimeException {

        private static final long serialVersionUID = 1L;

        Abandoned() {
            super(null, null, false, false);
        }
    }

    /** There are more problems than are told; ends the reading of the file. */
    private static final class Enough extends RuntimeException {

        private static final long serialVersionUID = 1L;

        Enough() {
            super(null, null, false, false);
        }
    }

    /** A value that does not fit; ends the reading of the object it is in. */
    private static final class Unfit extends RuntimeException {

        private static final long serialVersionUID = 1L;

        private final transient Problem problem;

        Unfit(String where, String what) {
            super(where + ": " + what, null, false, false);
            this.problem = new Problem(where, what);
        }
    }
}
