package embrack.core.gear;

import embrack.core.name.Slug;

/** Identifies a setting of a model; has the form of a {@link Slug}. */
public record SettingId(String text) implements Comparable<SettingId> {

    public SettingId {
        Slug.checked("setting id", text);
    }

    @Override
    public int compareTo(SettingId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
