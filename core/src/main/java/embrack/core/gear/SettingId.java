package embrack.core.gear;

import embrack.core.name.Slug;

/** Identifies a setting of a model; has the form of a {@link Slug}. */
public record SettingId(String text) implements Comparable<SettingId> {

    /** The channel a receiver listens to, 1 to 16. */
    public static final SettingId RECEIVE_CHANNEL = new SettingId("receive-channel");

    /** The one channel that a board sends everything on, 1 to 16. */
    public static final SettingId SEND_CHANNEL = new SettingId("send-channel");

    /** Of an app: whether notes, controls and programs are taken in for its tracks; off is 0. */
    public static final SettingId INPUT_FOR_NOTES = new SettingId("input-for-notes");

    /** Of an app: whether messages may work its controls; off is 0. */
    public static final SettingId INPUT_FOR_REMOTE = new SettingId("input-for-remote");

    /** Of an app: whether clock, time code and transport are followed; off is 0. */
    public static final SettingId INPUT_FOR_SYNC = new SettingId("input-for-sync");

    /** Of an app: whether it sends at all; off is 0. */
    public static final SettingId OUTPUT_PORT = new SettingId("output-port");

    /**
     * Of one side of a wireless or network connection: 0 for the side that offers itself or invites, 1 for the other.
     */
    public static final SettingId ROLE = new SettingId("role");

    /** Of a computer or tablet: whether the app or driver for wireless MIDI is there; 0 when it is missing. */
    public static final SettingId WIRELESS_APP = new SettingId("wireless-app");

    /** How often a Bluetooth connection meets; the shown value is in ms. */
    public static final SettingId CONNECTION_INTERVAL = new SettingId("connection-interval");

    /** Of an app that makes sound: samples in a buffer; the shown value begins with the number. */
    public static final SettingId BUFFER = new SettingId("buffer");

    /** Of an app that makes sound: samples a second; the shown value is in kHz. */
    public static final SettingId SAMPLE_RATE = new SettingId("sample-rate");

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
