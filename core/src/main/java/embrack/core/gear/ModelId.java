package embrack.core.gear;

import embrack.core.name.Slug;

/** Identifies a model of gear within a plan and in the library; has the form of a {@link Slug}. */
public record ModelId(String text) implements Comparable<ModelId> {

    public ModelId {
        Slug.checked("model id", text);
    }

    @Override
    public int compareTo(ModelId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
