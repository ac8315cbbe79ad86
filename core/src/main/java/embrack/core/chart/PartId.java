package embrack.core.chart;

import embrack.core.name.Slug;

/** Identifies a part of a model, such as one strip of a mixer; has the form of a {@link Slug}. */
public record PartId(String text) implements Comparable<PartId> {

    public PartId {
        Slug.checked("part id", text);
    }

    @Override
    public int compareTo(PartId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
