package embrack.files.json;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** What was read of an object so far, field by field, and what its reading has to know. */
public final class Given<C> {

    private final Fields fields;
    private final C context;
    private final @Nullable Object[] values;

    Given(Fields fields, C context, int count) {
        this.fields = fields;
        this.context = context;
        this.values = new Object[count];
    }

    void put(int place, Object value) {
        values[place] = value;
    }

    public C context() {
        return context;
    }

    /** The object that is read. */
    public Fields fields() {
        return fields;
    }

    /** The value of a field that stands before in the layout. */
    @SuppressWarnings("unchecked")
    public <V> V get(Field<V> field) {
        Object value = values[field.place()];
        if (value == null) {
            throw new IllegalStateException("\"%s\" is not read yet".formatted(field.name()));
        }
        return (V) value;
    }

    /** What the supplier gives; its refusal as a problem of that field. */
    public <V> V at(Field<?> field, Supplier<V> supplier) {
        return fields.fit(field.name(), supplier);
    }
}
