package embrack.core.gear;

import embrack.core.name.Slug;

/** Identifies a socket of a model; has the form of a {@link Slug}. */
public record PortId(String text) implements Comparable<PortId> {

    public PortId {
        Slug.checked("port id", text);
    }

    @Override
    public int compareTo(PortId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
