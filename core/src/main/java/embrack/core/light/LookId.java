package embrack.core.light;

import embrack.core.name.Slug;

/** Identifies a look within a plan; has the form of a {@link Slug}. */
public record LookId(String text) implements Comparable<LookId> {

    public LookId {
        Slug.checked("look id", text);
    }

    @Override
    public int compareTo(LookId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
