package embrack.files.json;

/**
 * A field of a {@link Layout}, by which its value is asked for.
 *
 * @param place among the fields of its layout, from 0
 */
public record Field<V>(String name, int place) {}
