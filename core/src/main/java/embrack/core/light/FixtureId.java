package embrack.core.light;

import embrack.core.name.Slug;

/** Identifies a fixture within a plan; has the form of a {@link Slug}. */
public record FixtureId(String text) implements Comparable<FixtureId> {

    public FixtureId {
        Slug.checked("fixture id", text);
    }

    @Override
    public int compareTo(FixtureId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
