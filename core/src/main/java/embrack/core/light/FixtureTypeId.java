package embrack.core.light;

import embrack.core.name.Slug;

/** Identifies a type of fixture within a plan; has the form of a {@link Slug}. */
public record FixtureTypeId(String text) implements Comparable<FixtureTypeId> {

    public FixtureTypeId {
        Slug.checked("fixture type id", text);
    }

    @Override
    public int compareTo(FixtureTypeId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
