package embrack.core.gear;

import embrack.core.name.Slug;

/** Identifies a setting of a model; has the form of a {@link Slug}. */
public record SettingId(String text) implements Comparable<SettingId> {

    /** The channel a receiver listens to, 1 to 16. */
    public static final SettingId RECEIVE_CHANNEL = new SettingId("receive-channel");

    /** The one channel that a board sends everything on, 1 to 16. */
    public static final SettingId SEND_CHANNEL = new SettingId("send-channel");

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
