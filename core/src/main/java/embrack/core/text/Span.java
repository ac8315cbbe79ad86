package embrack.core.text;

import java.util.List;

/**
 * What one piece of a line expands to.
 *
 * @param each in order, at least one
 * @param column where the piece begins, counted from 1
 * @param written the piece as it stands there
 */
public record Span<T>(List<T> each, int column, String written) {

    public Span {
        each = List.copyOf(each);
    }

    public int size() {
        return each.size();
    }

    /** The one for a place in the expansion; a span of one is the same for all. */
    public T at(int index) {
        return each.get(each.size() == 1 ? 0 : index);
    }

    public Fault fault(String words) {
        return new Fault(column, written.length(), words);
    }
}
