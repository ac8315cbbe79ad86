package embrack.core.rig;

import embrack.core.name.Slug;

/** Identifies a device within a rig; has the form of a {@link Slug}. */
public record DeviceId(String text) implements Comparable<DeviceId> {

    public DeviceId {
        Slug.checked("device id", text);
    }

    @Override
    public int compareTo(DeviceId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
