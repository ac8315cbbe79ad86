package embrack.core.light;

import embrack.core.name.Slug;

/** Identifies a chase within a plan; has the form of a {@link Slug}. */
public record ChaseId(String text) implements Comparable<ChaseId> {

    public ChaseId {
        Slug.checked("chase id", text);
    }

    @Override
    public int compareTo(ChaseId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
