package embrack.core.show;

import embrack.core.name.Slug;

/** Identifies a song within a plan; has the form of a {@link Slug}. */
public record SongId(String text) implements Comparable<SongId> {

    public SongId {
        Slug.checked("song id", text);
    }

    @Override
    public int compareTo(SongId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
