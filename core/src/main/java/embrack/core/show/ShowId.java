package embrack.core.show;

import embrack.core.name.Slug;

/** Identifies a show within a plan; has the form of a {@link Slug}. */
public record ShowId(String text) implements Comparable<ShowId> {

    public ShowId {
        Slug.checked("show id", text);
    }

    @Override
    public int compareTo(ShowId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
